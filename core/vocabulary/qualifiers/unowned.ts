import { hasOwner } from '../finding.ts';
import type { QualifierWord } from '../word.ts';

export const unowned: QualifierWord = {
  says: ['whom nobody else has'],
  help: 'Passes over everyone another man’s rule takes first.',
  keep: () => (scene, me, defender) => !hasOwner(scene, me, defender),
};
