import { hasOwner } from '../finding';
import type { QualifierWord } from '../word';

export const unowned: QualifierWord = {
  says: ['whom nobody else has'],
  help: 'Passes over everyone another man’s rule takes first.',
  asksOthers: true,
  keep: () => (scene, me, defender) => !hasOwner(scene, me, defender),
};
