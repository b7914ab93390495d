import type { Tempo } from '../model/scheme';
import type { Settings } from '../model/settings';

/** How somebody gets going: seconds, ft/s2, ft/s. */
export interface Mover {
  readonly delay: number;
  readonly acceleration: number;
  readonly topSpeed: number;
}

const OFFENCE_DELAY = 0.15;
const DEFENCE_DELAY = 0.25;

/** Shipped assumptions, not measurements; a team replaces them by what it measures on its own film. */
export const MOVERS = {
  lineman: { delay: OFFENCE_DELAY, acceleration: 11, topSpeed: 17 },
  puller: { delay: OFFENCE_DELAY, acceleration: 11, topSpeed: 16 },
  passSet: { delay: OFFENCE_DELAY, acceleration: 9, topSpeed: 8 },
  back: { delay: OFFENCE_DELAY, acceleration: 14, topSpeed: 26 },
  rusher: { delay: DEFENCE_DELAY, acceleration: 11, topSpeed: 17 },
  linebacker: { delay: DEFENCE_DELAY, acceleration: 13, topSpeed: 23 },
  secondary: { delay: DEFENCE_DELAY, acceleration: 14, topSpeed: 26 },
} as const satisfies Record<string, Mover>;

/** How much of the shipped speed and acceleration men of a level have: an assumption like the speeds themselves. */
const SHARE: Record<Settings['levelOfPlay'], number> = { youth: 0.75, school: 0.9, adult: 1 };

/** A mover at a level of play. */
export const atLevel = (mover: Mover, level: Settings['levelOfPlay']): Mover =>
  SHARE[level] === 1
    ? mover
    : { delay: mover.delay, acceleration: mover.acceleration * SHARE[level], topSpeed: mover.topSpeed * SHARE[level] };

/** How a defender of a level gets going. */
export const moverOf = ({ level }: { level: 1 | 2 | 3 }): Mover =>
  level === 1 ? MOVERS.rusher : level === 2 ? MOVERS.linebacker : MOVERS.secondary;

/** Up to this deep a man comes as soon as he sees the run, feet; from the other depth on he has played pass first, and for so long, seconds. */
const READS_FROM = 15;
const READS_LONGEST_FROM = 36;
const LONGEST_READ = 1;

/** How a defender comes to a run: the deeper he stands the longer he reads before he does. An assumption like the speeds. */
export function runFitOf(defender: { readonly level: 1 | 2 | 3; readonly y: number }): Mover {
  const share = (defender.y - READS_FROM) / (READS_LONGEST_FROM - READS_FROM);
  const mover = moverOf(defender);
  return share <= 0 ? mover : { ...mover, delay: mover.delay + LONGEST_READ * Math.min(1, share) };
}

/** Seconds from the snap until the ball crosses the line, by tempo. */
export const BALL_AT_LINE: Record<Tempo, number> = {
  dive: 1.1,
  trap: 1.3,
  'inside zone': 1.6,
  power: 1.8,
  counter: 1.8,
  duo: 1.8,
  down: 1.6,
  'outside zone': 2.2,
  buck: 2.2,
  toss: 2.2,
  'pin and pull': 2.2,
  pass: 2.2,
};

/** Speed of the carrier as he crosses the line, ft/s: a back who has just pressed and cut. */
export const CARRIER_SPEED = 15;

/** How near a defender must come to the ball to make the tackle, feet. */
export const TACKLE_REACH = 3;

/** Seconds from the snap until somebody has covered a straight distance (feet): constant acceleration up to his top speed. */
export function timeToCover(distance: number, mover: Mover): number {
  if (distance <= 0) return mover.delay;
  const toTop = mover.topSpeed ** 2 / (2 * mover.acceleration);
  if (distance <= toTop) return mover.delay + Math.sqrt((2 * distance) / mover.acceleration);
  return mover.delay + mover.topSpeed / mover.acceleration + (distance - toTop) / mover.topSpeed;
}
