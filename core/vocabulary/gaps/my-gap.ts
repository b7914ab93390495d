import { betweenMen, neighbourOf } from '../finding';
import type { GapWord } from '../word';

export const myGap: GapWord = {
  says: ['my {dir:dir} gap'],
  help: 'The gap between me and my neighbour on that side.',
  find: (slots) => {
    const dir = slots.text('dir');
    return (scene, self) => betweenMen(scene, self, neighbourOf(scene, self, dir));
  },
};
