import type { ReactionWord } from '../word';

export const goUp: ReactionWord = {
  says: ['climb'],
  help: 'Go to the linebacker at once.',
  does: 'climb',
};
