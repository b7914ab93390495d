import type { ReactionWord } from '../word';

export const nextLevel: ReactionWord = {
  says: ['go to the next level'],
  help: 'Look for the first colour beyond.',
  does: 'climb',
};
