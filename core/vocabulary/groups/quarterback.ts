import type { GroupWord } from '../word';

export const quarterback: GroupWord = {
  says: ['the quarterback'],
  help: 'Whom the quarterback reads instead of having him blocked.',
  includes:
    () =>
    ({ men }, man) =>
      men[man]!.kind === 'quarterback-read',
};
