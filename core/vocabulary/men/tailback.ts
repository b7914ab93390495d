import { manOfKind } from '../finding';
import type { ManWord } from '../word';

export const tailback: ManWord = {
  says: ['the back'],
  help: 'The running back.',
  find: () => manOfKind('back'),
};
