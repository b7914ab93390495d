import type { ReactionWord } from '../word';

export const passOff: ReactionWord = {
  says: ['pass him off and climb'],
  help: 'Leave him to the neighbour he runs to and go to the linebacker.',
  does: 'climb',
};
