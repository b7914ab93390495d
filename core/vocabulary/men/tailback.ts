import { manOfKind } from '../finding';
import { NOBODY } from '../scene';
import type { ManWord } from '../word';

const anyBack = manOfKind('back');

export const tailback: ManWord = {
  says: ['the back'],
  help: 'The running back: B where there are several.',
  find: () => (lineup) => {
    const named = lineup.men.findIndex((m) => m.id === 'B');
    return named < 0 ? anyBack(lineup, NOBODY) : named;
  },
};
