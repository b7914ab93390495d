import type { Movement } from '../../model/movement';
import type { Side } from '../../model/side';
import type { Word } from './words';

const side = (text: string | undefined): Side | null => (text === 'left' || text === 'right' ? text : null);

/** Reads a clause of movement, e.g. `slant right`, `W blitz A left`, `twist T RE`; `null` when the clause is none. */
export function readMovement(words: readonly Word[]): Movement | null {
  const [a, b, c, d, ...more] = words.map((w) => w.text);
  if (more.length) return null;
  if (a === 'pinch' && !b) return { kind: 'pinch' };
  if (a === 'slant' && side(b) && !c) return { kind: 'slant', who: null, side: side(b)! };
  if (a && b === 'drop' && !c) return { kind: 'drop', who: a };
  if ((a === 'twist' || a === 'exchange') && b && c && !d) return { kind: a, first: b, second: c };
  if (a && b === 'blitz' && (c === 'A' || c === 'B' || c === 'C' || c === 'D') && side(d))
    return { kind: 'blitz', who: a, gap: c, side: side(d)! };
  if (a && (b === 'slant' || b === 'loop' || b === 'scrape' || b === 'edge' || b === 'down') && side(c) && !d)
    return { kind: b, who: a, side: side(c)! };
  return null;
}

/** The clause a movement is written as. */
export function sayMovement(movement: Movement): string {
  switch (movement.kind) {
    case 'pinch':
      return 'pinch';
    case 'slant':
      return `${movement.who ? `${movement.who} ` : ''}slant ${movement.side}`;
    case 'twist':
    case 'exchange':
      return `${movement.kind} ${movement.first} ${movement.second}`;
    case 'drop':
      return `${movement.who} drop`;
    case 'blitz':
      return `${movement.who} blitz ${movement.gap} ${movement.side}`;
    default:
      return `${movement.who} ${movement.kind} ${movement.side}`;
  }
}

/** Whom a movement names. */
export const whoMoves = (m: Movement): string[] =>
  'first' in m ? [m.first, m.second] : 'who' in m && m.who !== null ? [m.who] : [];
