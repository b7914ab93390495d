import type { Point } from '../geometry/vec';
import type { Assignment } from '../model/resolution';
import { signOf, type Side } from '../model/side';

/** How far a man's feet stand to the side of his nose, and how long a first step is, feet. */
const FOOT = 0.55;
const FIRST_STEP = 0.9;
/** How far from a defender's nose his numbers and his shoulders are, feet. */
const NUMBER = 0.6;

/** The foot a blocker starts with and where it lands: feet, field frame. */
export function firstStep(assignment: Assignment, man: Point): { from: Point; to: Point } {
  const from = { x: man.x + signOf(assignment.step.foot) * FOOT, y: man.y };
  const next = assignment.path[1] ?? { x: man.x, y: man.y + 1 };
  const away = Math.hypot(next.x - man.x, next.y - man.y) || 1;
  return {
    from,
    to: { x: from.x + ((next.x - man.x) / away) * FIRST_STEP, y: from.y + ((next.y - man.y) / away) * FIRST_STEP },
  };
}

/** Where on his man a blocker aims, from the words of his aiming point; `null` when the words name no place on a body. */
export function aimPoint(aim: string, man: Point, defender: Point, side: Side): Point | null {
  const part = aim.toLowerCase();
  const toward = (sign: number): Point => ({ x: defender.x + sign * NUMBER, y: defender.y });
  if (/midline|square/.test(part)) return { x: defender.x, y: defender.y };
  if (/near/.test(part)) return toward(Math.sign(man.x - defender.x) || -Math.sign(defender.x) || 1);
  if (/playside/.test(part)) return toward(signOf(side));
  if (/backside/.test(part)) return toward(-signOf(side));
  if (/inside/.test(part)) return toward(-Math.sign(defender.x) || 1);
  if (/outside/.test(part)) return toward(Math.sign(defender.x) || 1);
  return null;
}
