import type { ReactionWord } from '../word';

export const blockIt: ReactionWord = {
  says: ['block him'],
  help: 'Block the man who came.',
  does: 'take',
};
