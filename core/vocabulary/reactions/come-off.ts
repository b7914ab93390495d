import type { ReactionWord } from '../word';

export const comeOff: ReactionWord = {
  says: ['come off on him'],
  help: 'Leave the double and take the man who runs through.',
  does: 'take',
};
