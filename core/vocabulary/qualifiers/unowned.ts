import { hasOwner } from '../finding';
import type { QualifierWord } from '../word';

export const unowned: QualifierWord = {
  says: ['whom nobody else has'],
  help: 'Passes over everyone another man’s rule takes first. Whoever is left or read so is blocked after all by a man who finds nobody else and whose “else” names him.',
  asksOthers: true,
  givesWay: true,
  keep: () => (scene, me, _him, defender) => !hasOwner(scene, me, defender),
};
