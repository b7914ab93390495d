import type { ReactionWord } from '../word';

export const nearHip: ReactionWord = {
  says: ['run with his near hip'],
  help: 'Get on the hip nearer to me and ride him the way he runs.',
  does: 'stay',
};
