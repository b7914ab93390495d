import type { ReactionWord } from '../word';

export const outsideTakes: ReactionWord = {
  says: ['the outside man takes his hip'],
  help: 'The man on the outside of the pair rides him; the inside man climbs.',
  does: 'outside-stays',
};
