import type { Point } from '../geometry/vec';
import { distance } from '../geometry/vec';
import { TACKLE_REACH, moverOf, timeToCover } from '../kinematics/speeds';
import type { Scene } from '../vocabulary/scene';
import type { Pressure } from './pressures';

/** One rusher's way to the quarterback's spot. */
export interface Lane {
  readonly rusher: number;
  /** Where he crosses the line, feet, play side positive. */
  readonly x: number;
  /** Where he is when his way is straight to the spot: his place, or the place he has looped to. */
  readonly from: Point;
  /** Feet he has run by then. */
  readonly gone: number;
  /** Seconds from the snap until he is at the spot when nobody touches him. */
  readonly arrives: number;
}

/** How deep a looping man runs behind the one who goes first, feet. */
const LOOP_DEPTH = 3.5;
/** Where a man who goes first has got to when he turns up, and where his gap is at the line. */
const AT_LINE = 1;

/** A rusher's lane under a pressure; two men who twist change lanes. */
export function laneOf(scene: Scene, rusher: number, twist: Pressure['twist'], spot: Point): Lane {
  const self = scene.defenders[rusher]!;
  if (!twist?.includes(rusher)) return lane(scene, rusher, [self], spot);
  const [first, second] = twist;
  const mate = scene.defenders[rusher === first ? second : first]!;
  const turn = { x: mate.x, y: AT_LINE };
  return rusher === first
    ? lane(scene, rusher, [self, turn], spot)
    : lane(scene, rusher, [self, { x: (self.x + mate.x) / 2, y: LOOP_DEPTH }, turn], spot);
}

function lane(scene: Scene, rusher: number, way: readonly Point[], spot: Point): Lane {
  const from = way[way.length - 1]!;
  const mover = moverOf(scene.defenders[rusher]!);
  let length = 0;
  for (let i = 1; i < way.length; i++) length += distance(way[i - 1]!, way[i]!);
  const share = from.y / (from.y - spot.y);
  return {
    rusher,
    from: { x: from.x, y: from.y },
    x: from.x + (spot.x - from.x) * share,
    gone: length,
    arrives: timeToCover(Math.max(0, length + distance(from, spot) - TACKLE_REACH), mover),
  };
}

/** The gap of the line a place is in, as it is said: "A left", or the edge. */
export function gapAt(scene: Scene, x: number): string {
  const noses = scene.men.slice(0, scene.lineCount).map((m) => m.x);
  const playside = x >= 0;
  const side = playside === (scene.side === 'right') ? 'right' : 'left';
  const inside = noses.filter((nose) => (playside ? nose > 0 && nose < x : nose < 0 && nose > x)).length;
  const there = noses.filter((nose) => (playside ? nose > 0 : nose < 0)).length;
  return inside >= there ? `${side} edge` : `${side} ${'ABCD'[inside] ?? 'D'} gap`;
}
