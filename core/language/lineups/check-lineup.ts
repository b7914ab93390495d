import type { Diagnostic } from '../../diagnostics/diagnostic';
import type { LineupTree } from '../tree';
import { placeClauses, readFormation } from './read-formation';
import { placeFrontClauses } from './read-front';

/** What is wrong with a formation's clauses. */
export const formationFromClauses = (tree: LineupTree): Diagnostic[] =>
  placeClauses(tree.clauses, tree.id, tree.name).diagnostics;

/** What is wrong with a front's clauses, placed against the plain line with an end on both sides, where every technique has a place. */
export function frontFromClauses(tree: LineupTree): Diagnostic[] {
  const formation = readFormation('X tight left LT LG C RG RT Y right');
  if (!formation.ok) throw new Error('the plain line no longer reads');
  return placeFrontClauses(tree.clauses, formation.value, tree.id, tree.name).diagnostics;
}
