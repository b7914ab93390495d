import { nameMovement } from '#core/film/alignment/movement';
import { placesOf } from '#core/film/alignment/places';
import { sayMovement } from '#core/language/lineups/read-movement';
import type { Movement } from '#core/model/movement';
import { describeMovement, movementMenu } from '#core/movement/menu';
import { workCall } from '#core/calls/resolve-call';
import { runPlay } from '#demo/cameras/play';
import type { DemoSnap } from '#demo/scenario';
import { calibrationsOf } from './places';
import { share, type Tally } from './tally';
import { feetClicked, handOf, trulyAt, truthOf, type Truth } from './truth';

/** When the second picture is looked at, seconds after the snap. */
const LATER = [[0.5], [0.7], [0.5, 0.7, 0.9]];
/** Who has been taken less far than this by a movement moves as without it, feet. */
const TELLS = 1;
const FIELD = { yardLine: 33, ballX: 0 };

/** Runs a snap with every movement of the menu and with none, without filming it, and counts how often clicks of one pixel name it. */
export function measureMovements(snap: DemoSnap, seed: number, tally: Tally): void {
  const plain = workCall({ ...snap.call, front: snap.call.front.split('; ').filter(isDefender).join('; ') });
  if (!plain.ok) throw new Error('the snap cannot be worked out');
  const menu = movementMenu(plain.value.front, plain.value.formation).flatMap((g) => g.moves);
  const straight = truthOf(runPlay(plain.value, snap, seed), FIELD, seed, []);
  for (const [i, movements] of [[], ...menu.map((m) => [m])].entries())
    measureMovement(snap, movements, straight, seed + i, tally);
}

/** How far a movement has taken anybody of the defence by a frame from where he would be without it, feet. */
function farthest(truth: Truth, straight: Truth, frame: number): number {
  const away = truth.men.map(({ team }, i) => {
    const [a, b] = [trulyAt(truth, i, frame), trulyAt(straight, i, frame)];
    return team === 'defence' ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
  });
  return Math.max(...away);
}

const isDefender = (clause: string): boolean =>
  !/slant|pinch|loop|twist|blitz|scrape|edge|down|drop|exchange/.test(clause);

function measureMovement(
  snap: DemoSnap,
  movements: readonly Movement[],
  straight: Truth,
  seed: number,
  tally: Tally,
): void {
  const front = [...snap.call.front.split('; ').filter(isDefender), ...movements.map(sayMovement)].join('; ');
  const worked = workCall({ ...snap.call, front });
  if (!worked.ok) return;
  const { value } = worked;
  const truth = truthOf(runPlay(value, snap, seed), FIELD, seed, movements);
  const calibrations = calibrationsOf(truth, seed);
  const hand = handOf(seed + 9);
  const atSnap = placesOf(feetClicked(truth, truth.snapFrame - 1, hand), calibrations);
  const what = movements.length === 0 ? 'no movement' : 'a movement';
  for (const times of LATER) {
    const looks = times.map((seconds) => {
      const frame = truth.snapFrame + Math.round(seconds * truth.framesPerSecond);
      return { seconds, men: placesOf(feetClicked(truth, frame, hand), calibrations) };
    });
    const [best, next] = nameMovement(value, atSnap, looks);
    const wanted = JSON.stringify(movements);
    const right = JSON.stringify(best!.movements) === wanted;
    const at = times.join(', ');
    tally.count(`${what} named right from ${at} s after the snap`, right);
    const by = truth.snapFrame + Math.round(Math.max(...times) * truth.framesPerSecond);
    if (movements.length > 0 && farthest(truth, straight, by) > TELLS)
      tally.count(`the same, of those that have taken somebody ${TELLS} ft by then, ${at} s`, right);
    tally.count(`${what}: right among the first two, ${at} s`, right || JSON.stringify(next?.movements) === wanted);
    if (best!.share >= SURE) tally.count(`right where the reading was sure, ${at} s`, right);
    if (!right && times === LATER[LATER.length - 1])
      tally.note(
        `${sayAll(movements)}: ${sayAll(best!.movements)} (${share(best!.share)}), over ${value.front.name}, ${snap.call.scheme}`,
      );
  }
}

/** From this share on a reading is called sure. */
export const SURE = 0.8;

export const sayAll = (movements: readonly Movement[]): string => movements.map(describeMovement).join() || 'nothing';
