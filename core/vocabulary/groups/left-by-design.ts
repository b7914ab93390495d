import type { GroupWord } from '../word';

export const leftByDesign: GroupWord = {
  says: ['left by design'],
  help: 'Defenders the scheme leaves alone on purpose.',
  includes:
    () =>
    ({ men }, man) =>
      men[man]!.kind === 'design',
};
