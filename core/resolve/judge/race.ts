import { CORNER_WIDTH } from '../../geometry/tolerances';
import { seconds } from '../../geometry/units';
import { arrivesAt, canMeetBall, holdFor, meetsBall, type Carry } from '../../kinematics/races';
import { BALL_AT_LINE, CARRIER_SPEED, runFitOf } from '../../kinematics/speeds';
import type { Tempo } from '../../model/scheme';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { Outcome } from '../allot/outcome';
import type { Aim } from '../prepare/prepare-call';

/** Nobody is raced farther downfield than this, feet. */
const FARTHEST = 60;

/** Where a run is to go and when it is there. */
export const carryOf = ({ attack }: Pick<Aim, 'attack'>, tempo: Tempo): Carry => ({
  attack: attack.x,
  ballAtLine: BALL_AT_LINE[tempo],
});

/** Defenders whom nobody has, reads and leaves, in lateral order; who plays a receiver has his hands full. */
export function freeMen({ settled: { scene }, defenders }: Outcome): number[] {
  const free: number[] = [];
  for (let d = 0; d < defenders.length; d++)
    if (defenders[d]!.status === 'free' && !isOnReceiver(scene, d)) free.push(d);
  return free;
}

function isOnReceiver({ defenders, men, lineCount }: Scene, defender: number): boolean {
  const { x } = defenders[defender]!;
  // Receivers stand behind the men of the line in the list.
  for (let man = lineCount; man < men.length; man++) {
    const m = men[man]!;
    if ((m.kind === 'wide' || m.kind === 'slot') && Math.abs(m.x - x) <= CORNER_WIDTH) return true;
  }
  return false;
}

/** Where a free man meets the ball, feet past the line, or `null` when it is past him before `limit`; and how long he must be held for that. */
export const raceTo = (scene: Scene, defender: number, carry: Carry, limit: number): number | null =>
  meetsBall(scene.defenders[defender]!, runFitOf(scene.defenders[defender]!), carry, limit);

/** Is he there before the ball is past `limit`? What only a sentence needs to know better is asked by `raceTo`. */
export const canMeet = (scene: Scene, defender: number, carry: Carry, limit: number): boolean =>
  canMeetBall(scene.defenders[defender]!, runFitOf(scene.defenders[defender]!), carry, limit);

export const holdOf = (scene: Scene, defender: number, carry: Carry, limit: number): number =>
  holdFor(scene.defenders[defender]!, runFitOf(scene.defenders[defender]!), carry, limit);

/** A time to hold somebody, as it is said: never less than it takes. */
export const sayHold = (time: number): string => seconds(Math.ceil(time * 10 - 1e-9) / 10);

/** Seconds from the snap until a free man is where the ball has gained so much, and until the ball is there. */
export const arrivalAt = (scene: Scene, defender: number, carry: Carry, gained: number): number =>
  arrivesAt(scene.defenders[defender]!, runFitOf(scene.defenders[defender]!), { x: carry.attack, y: gained });
export const timeAt = ({ ballAtLine }: Carry, gained: number): number => ballAtLine + gained / CARRIER_SPEED;

/** What the run gains before the first man whom nobody has meets the ball, feet, and who he is; the deep men are raced as well. */
export interface Gain {
  readonly gains: number;
  readonly metBy: number;
}

export function expectedGain(outcome: Outcome, carry: Carry): Gain {
  const { scene } = outcome.settled;
  let found: Gain = { gains: FARTHEST, metBy: NOBODY };
  for (const d of freeMen(outcome)) {
    const gains = raceTo(scene, d, carry, found.gains);
    if (gains === null) continue;
    // Of two who meet it at one place the one who is there sooner.
    const isSooner =
      gains < found.gains ||
      (found.metBy !== NOBODY && arrivalAt(scene, d, carry, gains) < arrivalAt(scene, found.metBy, carry, gains));
    if (isSooner) found = { gains, metBy: d };
  }
  return found;
}
