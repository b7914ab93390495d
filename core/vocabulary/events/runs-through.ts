import { isBetween } from '../after';
import type { EventWord } from '../word';

export const runsThrough: EventWord = {
  says: ['a linebacker runs through {gap:gap}'],
  help: 'A second-level defender comes through that gap.',
  happens: (slots) => {
    const gap = slots.gap('gap');
    return (change, me) => {
      const edges = gap(change.before, me);
      if (!edges) return null;
      const came = change.before.defenders.find(
        (d) =>
          d.level > 1 &&
          change.after.defenders[change.nowAt[d.index]!]!.level === 1 &&
          isBetween(change.after, change.nowAt[d.index]!, edges),
      );
      return came ? change.nowAt[came.index]! : null;
    };
  },
};
