import { crosses } from '../after';
import { NOBODY } from '../scene';
import type { EventWord } from '../word';

export const crossesFace: EventWord = {
  says: ['he crosses my face', 'he crosses my face {way:inout}'],
  help: 'The man I am on slants across my nose; inside or outside may be said.',
  happens: (slots) => {
    const way = slots.has('way') ? slots.text('way') : null;
    return (change, me) => {
      const his = change.had[me]!;
      if (his === NOBODY) return null;
      const went = crosses(change, me, his);
      return went !== null && (way === null || way === went) ? change.nowAt[his]! : null;
    };
  },
};
