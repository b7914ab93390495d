import { hasLeft } from '../after';
import { NOBODY } from '../scene';
import type { EventWord } from '../word';

export const nobodyShows: EventWord = {
  says: ['nobody shows'],
  help: 'The man I was sent to is not there.',
  happens: () => (change, me) => {
    const his = change.had[me]!;
    return his === NOBODY || hasLeft(change, me, his) ? NOBODY : null;
  },
};
