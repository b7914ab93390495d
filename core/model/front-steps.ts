import type { Defender, Front } from './front';

/** One edit of a front on the board, as a value: it can be done, undone and kept. Places in feet, field frame. */
export type FrontStep =
  | { readonly kind: 'move'; readonly id: string; readonly from: Place; readonly to: Place }
  | { readonly kind: 'man'; readonly id: string; readonly from: Manner; readonly to: Manner };

interface Place {
  readonly x: number;
  readonly y: number;
}
/** How a man stands and what the coach marked him as. */
type Manner = Pick<Defender, 'stance' | 'position' | 'mark'>;

/** The grain of the board: half a foot. */
export const GRAIN = 0.5;
const snap = (feet: number): number => Math.round(feet / GRAIN) * GRAIN + 0;

/** Where a move may end: on the field, on the defence's side of the ball. */
const LIMITS = { x: 26, nearest: 1, deepest: 45 };

/** The step that moves a defender to a place, to the nearest half foot; `null` when he would not move or would stand on somebody. */
export function moveStep(front: Front, id: string, to: { x: number; y: number }): FrontStep | null {
  const man = front.defenders.find((d) => d.id === id);
  if (!man) return null;
  const place = {
    x: Math.max(-LIMITS.x, Math.min(LIMITS.x, snap(to.x))),
    y: Math.max(LIMITS.nearest, Math.min(LIMITS.deepest, snap(to.y))),
  };
  if (place.x === man.x && place.y === man.y) return null;
  const taken = front.defenders.some((d) => d.id !== id && Math.hypot(d.x - place.x, d.y - place.y) < GRAIN);
  return taken ? null : { kind: 'move', id, from: { x: man.x, y: man.y }, to: place };
}

/** A man who leaves or joins the line changes between linebacker and stand-up rusher with it. */
function placed(man: Defender, place: Place): Defender {
  return { ...man, x: place.x, y: place.y, stance: place.y > 4.5 ? 'up' : man.stance };
}

/** The step that changes how a man stands or what he is marked as; `null` when nothing would change. */
export function mannerStep(front: Front, id: string, change: Partial<Manner>): FrontStep | null {
  const man = front.defenders.find((d) => d.id === id);
  if (!man) return null;
  const from: Manner = { stance: man.stance, position: man.position, mark: man.mark };
  const to = { ...from, ...change };
  return from.stance === to.stance && from.position === to.position && from.mark === to.mark
    ? null
    : { kind: 'man', id, from, to };
}

export const applyStep = (front: Front, step: FrontStep): Front => ({
  ...front,
  defenders: front.defenders.map((d) =>
    d.id !== step.id ? d : step.kind === 'move' ? placed(d, step.to) : { ...d, ...step.to },
  ),
});

export const invertStep = (step: FrontStep): FrontStep =>
  step.kind === 'move' ? { ...step, from: step.to, to: step.from } : { ...step, from: step.to, to: step.from };
