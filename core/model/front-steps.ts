import type { Defender, Front } from './front';

/** One edit of a front on the board, as a value: it can be done, undone and kept. Places in feet, field frame. */
export interface FrontStep {
  readonly kind: 'move';
  readonly id: string;
  readonly from: { readonly x: number; readonly y: number };
  readonly to: { readonly x: number; readonly y: number };
}

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
function placed(man: Defender, place: FrontStep['to']): Defender {
  return { ...man, x: place.x, y: place.y, stance: place.y > 4.5 ? 'up' : man.stance };
}

export const applyStep = (front: Front, step: FrontStep): Front => ({
  ...front, defenders: front.defenders.map((d) => (d.id === step.id ? placed(d, step.to) : d)),
});

export const invertStep = (step: FrontStep): FrontStep => ({ ...step, from: step.to, to: step.from });
