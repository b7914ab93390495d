import type { ManWord } from '../word';

export const me: ManWord = {
  says: ['me'],
  subject: 'I',
  help: 'The man this rule belongs to.',
  find: () => (_scene, self) => self,
};
