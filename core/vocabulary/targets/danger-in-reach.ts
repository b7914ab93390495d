import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const dangerInReach: TargetWord = {
  says: ['the most dangerous man in reach'],
  help: 'In a "deal" line: whoever is left of the men takes the most dangerous man whom he can reach without passing one who has his own.',
  offTheLine: true,
  find: () => ({ claim: null, every: false, inReach: true, seek: () => NOBODY }),
};
