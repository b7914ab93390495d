/** What stands on a board, in pixels: its middle and half its extent. */
export interface Mark {
  readonly id: string;
  readonly team: 'ours' | 'theirs';
  readonly x: number;
  readonly y: number;
  readonly half: { readonly x: number; readonly y: number };
  /** Is in hand or must not move for another reason. */
  readonly held?: boolean;
}
export interface Shift {
  readonly dx: number;
  readonly dy: number;
}

/** Marks may cover each other by this much and are still read, pixels. */
export const COVERED = 3;
/** A crowd is moved apart in at most so many rounds. */
const ROUNDS = 40;
const ENOUGH = 0.01;

interface Moving extends Mark {
  dx: number;
  dy: number;
}

/**
 * How far marks that lie on each other are drawn from where their men stand, so that each can be read: pair by pair, along the shorter way,
 * half each. Of two men on one spot theirs goes up and ours down, of two of one team the first to the left. Marks that are clear of all
 * others have no entry. Mirrored marks are moved the mirrored way, but for two of one team on the very spot.
 */
export function apart(marks: readonly Mark[]): ReadonlyMap<string, Shift> {
  const all: Moving[] = marks.map((m) => ({ ...m, dx: 0, dy: 0 }));
  for (let round = 0; round < ROUNDS; round++) {
    const pushes = all.map(() => ({ dx: 0, dy: 0 }));
    let moved = false;
    for (let i = 0; i < all.length; i++)
      for (let j = i + 1; j < all.length; j++) {
        const push = pushOf(all[i]!, all[j]!);
        if (!push) continue;
        moved = true;
        const [mine, his] = sharesOf(all[i]!, all[j]!);
        pushes[i]!.dx -= push.dx * mine;
        pushes[i]!.dy -= push.dy * mine;
        pushes[j]!.dx += push.dx * his;
        pushes[j]!.dy += push.dy * his;
      }
    if (!moved) break;
    for (const [i, m] of all.entries()) {
      m.dx += pushes[i]!.dx;
      m.dy += pushes[i]!.dy;
    }
  }
  return new Map(
    all.filter((m) => Math.abs(m.dx) > ENOUGH || Math.abs(m.dy) > ENOUGH).map(({ id, dx, dy }) => [id, { dx, dy }]),
  );
}

/** By how much the second has to move from the first; `null` when both can be read. */
function pushOf(a: Moving, b: Moving): Shift | null {
  const [ax, ay, bx, by] = [a.x + a.dx, a.y + a.dy, b.x + b.dx, b.y + b.dy];
  const [deepX, deepY] = [
    a.half.x + b.half.x - COVERED - Math.abs(bx - ax),
    a.half.y + b.half.y - COVERED - Math.abs(by - ay),
  ];
  if (deepX <= ENOUGH || deepY <= ENOUGH || (a.held && b.held)) return null;
  if (a.team === b.team && deepX <= deepY) return { dx: bx < ax ? -deepX : deepX, dy: 0 };
  const up = by === ay ? b.team === 'theirs' && a.team === 'ours' : by < ay;
  return { dx: 0, dy: up ? -deepY : deepY };
}

/** Which part of the way each goes: half, or all of it when the other is held. */
function sharesOf(a: Mark, b: Mark): readonly [number, number] {
  if (a.held) return [0, 1];
  return b.held ? [1, 0] : [0.5, 0.5];
}
