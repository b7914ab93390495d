import type { ReactionWord } from '../word';

export const stay: ReactionWord = {
  says: ['stay with him'],
  help: 'Keep blocking the man who moved.',
  does: 'stay',
};
