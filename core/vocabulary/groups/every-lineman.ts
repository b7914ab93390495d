import type { GroupWord } from '../word';

export const everyLineman: GroupWord = {
  says: ['every man on the line'],
  help: 'Everyone on the line, attached tight ends included.',
  includes:
    () =>
    ({ lineCount }, man) =>
      man < lineCount,
};
