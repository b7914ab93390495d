import { isBetween } from '../after';
import type { EventWord } from '../word';

export const slantsIn: EventWord = {
  says: ['a man slants into {gap:gap}'],
  help: 'A first-level defender moves into that gap after the snap.',
  happens: (slots) => {
    const gap = slots.gap('gap');
    return (change, me) => {
      const edges = gap(change.before, me);
      if (!edges) return null;
      const came = change.before.first.find(
        (d) => !isBetween(change.before, d, edges) && isBetween(change.after, change.nowAt[d]!, edges),
      );
      return came === undefined ? null : change.nowAt[came]!;
    };
  },
};
