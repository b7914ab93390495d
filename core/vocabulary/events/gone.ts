import { hasLeft } from '../after';
import { NOBODY } from '../scene';
import type { EventWord } from '../word';

export const gone: EventWord = {
  says: ['the man in front of me is gone'],
  help: 'The man my rule gave me has left before I could reach him.',
  happens: () => (change, me) => {
    const his = change.had[me]!;
    return his !== NOBODY && hasLeft(change, me, his) ? change.nowAt[his]! : null;
  },
};
