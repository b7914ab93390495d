import { isBetween } from '../after';
import { NOBODY } from '../scene';
import type { EventWord } from '../word';

export const splitsUs: EventWord = {
  says: ['the man down the middle splits us'],
  help: 'The man we double comes between the two of us.',
  happens: () => (change, me) => {
    const { before, after, had, nowAt } = change;
    const his = had[me]!;
    const mate = before.men.findIndex((m) => m.index !== me && had[m.index] === his);
    if (his === NOBODY || mate < 0) return null;
    const noses = [before.men[me]!.x, before.men[mate]!.x];
    const edges = { lo: Math.min(...noses), hi: Math.max(...noses) };
    return !isBetween(before, his, edges) && isBetween(after, nowAt[his]!, edges) ? nowAt[his]! : null;
  },
};
