import { NOBODY } from '../scene';
import type { ManWord } from '../word';

export const lastMan: ManWord = {
  says: ['the last man {side:wing}'],
  help: 'The man at the end of the line on that side, attached tight ends included.',
  find: (slots) => {
    const playside = slots.text('side') === 'playside';
    return ({ lineCount }) => (lineCount === 0 ? NOBODY : playside ? lineCount - 1 : 0);
  },
};
