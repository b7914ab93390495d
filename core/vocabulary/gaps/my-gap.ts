import { betweenMen, neighbourOf } from '../finding';
import type { GapWord } from '../word';

export const myGap: GapWord = {
  says: ['my {dir:dir} gap'],
  aboutMe: true,
  help: 'The gap between me and my neighbour on that side.',
  find: (slots) => {
    const dir = slots.text('dir');
    return (lineup, self) => betweenMen(lineup, self, neighbourOf(lineup, self, dir));
  },
};
