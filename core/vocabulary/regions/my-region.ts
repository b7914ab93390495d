import type { ManWord } from '../word';

export const myRegion: ManWord = {
  says: ['my region'],
  aboutMe: true,
  help: 'The part of the line that is mine by the scheme’s cover.',
  find: () => (_lineup, self) => self,
};
