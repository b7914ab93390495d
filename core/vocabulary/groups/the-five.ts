import type { GroupWord } from '../word';

export const theFive: GroupWord = {
  says: ['all five linemen'],
  help: 'Tackles, guards and centre, wherever they stand; nobody else.',
  includes:
    () =>
    ({ men }, man) =>
      men[man]!.post !== null,
};
