import { error, type Diagnostic, type Result } from '../../diagnostics/diagnostic';
import type { Front } from '../../model/front';
import type { Movement } from '../../model/movement';
import { readMovement, whoMoves } from './read-movement';
import { clausesOf, wordsOf } from './words';

/** Movements typed on their own, for a front that is there already: "slant right", "twist T RE". */
export function readMoves(moves: readonly string[], front: Pick<Front, 'defenders'>): Result<Movement[]> {
  const diagnostics: Diagnostic[] = [];
  const read: Movement[] = [];
  for (const { text, span } of moves.flatMap(clausesOf)) {
    const movement = readMovement(wordsOf(text, span));
    const missing = movement && whoMoves(movement).find((id) => !front.defenders.some((d) => d.id === id));
    if (!movement) diagnostics.push(error('front.movement', span, { found: `"${text}"` }));
    else if (missing) diagnostics.push(error('front.movement-who', span, { id: missing }));
    else read.push(movement);
  }
  return diagnostics.length ? { ok: false, diagnostics } : { ok: true, value: read, diagnostics: [] };
}
