import type { ManWord } from '../word';

export const myRegion: ManWord = {
  says: ['my region'],
  help: 'The part of the line that is mine by the scheme’s cover.',
  find: () => (_scene, self) => self,
};
