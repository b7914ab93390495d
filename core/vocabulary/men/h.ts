import { manOfKind } from '../finding';
import type { ManWord } from '../word';

export const hBack: ManWord = {
  says: ['the H'],
  help: 'The back off the ball behind a tackle.',
  find: () => manOfKind('hback'),
};
