import type { GroupWord } from '../word';

export const oneMan: GroupWord = {
  says: ['{who:man}'],
  help: 'One man by his post or seat; both when two of a trade stand on one side.',

  includes: (slots) => slots.among('who'),
};
