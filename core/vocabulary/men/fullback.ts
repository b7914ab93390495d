import { manOfKind } from '../finding';
import type { ManWord } from '../word';

export const fullback: ManWord = {
  says: ['the fullback'],
  help: 'The back between the quarterback and the tailback.',
  find: () => manOfKind('fullback'),
};
