import { neighbourOf } from '../finding';
import type { ManWord } from '../word';

export const neighbour: ManWord = {
  says: ['my {dir:dir} neighbour'],
  aboutMe: true,
  help: 'The man next to me on the line: inside is toward the ball.',
  find: (slots) => {
    const dir = slots.text('dir');
    return (lineup, self) => neighbourOf(lineup, self, dir);
  },
};
