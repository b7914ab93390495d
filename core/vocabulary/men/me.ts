import type { ManWord } from '../word';

export const me: ManWord = {
  says: ['me'],
  subject: 'I',
  aboutMe: true,
  help: 'The man this rule belongs to.',
  find: () => (_lineup, self) => self,
};
