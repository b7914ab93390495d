import { bitOf, has } from '../geometry/bits';
import { atMost, moreThan } from '../geometry/compare';
import { putInOrder } from '../geometry/put-in-order';
import { HAND_HELP } from '../geometry/tolerances';
import { between, distance, type Point } from '../geometry/vec';
import { MOVERS, moverOf, timeToCover, type Mover } from '../kinematics/speeds';
import type { ManOutcome, Outcome } from '../resolve/allot/outcome';
import { setPoint } from '../resolve/explain/pass-set';
import type { Pocket } from '../kinematics/passing';
import { BLOCKS } from '../vocabulary/index';
import { NOBODY, type Scene } from '../vocabulary/scene';
import { laneOf, type Lane } from './lanes';
import type { Pressure } from './pressures';

/** A blocker as a pressure finds him. */
export interface Guard {
  readonly man: number;
  readonly own: number;
  /** Whom he looks at, in order; empty for a man who does not scan. */
  readonly scan: readonly number[];
  readonly onLine: boolean;
  /** He sets to a gap: whoever comes into it is his. */
  readonly slides: boolean;
  /** Where he sets, and how he gets about from there. */
  readonly at: Point;
  readonly mover: Mover;
}

/** Who has whom under one pressure, in scene indices. */
export interface PickUp {
  readonly lanes: readonly Lane[];
  /** For each lane the blockers on that rusher. */
  readonly by: readonly (readonly number[])[];
  /** Lanes nobody has. */
  readonly free: readonly number[];
  /** Lanes whose only blocker comes late: too wide, or he has to follow a twist he could not pass off. */
  readonly late: readonly number[];
  /** The two who passed a twist off, if two did. */
  readonly passedOff: readonly [number, number] | null;
}

/** Sets this near in depth are one level, so that a twist can be passed off, feet. */
const SAME_LEVEL = 2;
const SAMPLES = 12;

/** Men who are out of the protection: a chip is one blow on the way by. */
const isOut = ({ block }: ManOutcome): boolean => ['read', 'leave', 'touch'].includes(BLOCKS[block].role);

/** The blockers of a protection worked out against a front. */
export function guardsOf({ settled: { scene }, men }: Outcome, pocket: Pocket): Guard[] {
  return men
    .filter((m) => !isOut(m))
    .map((m) => ({
      man: m.man,
      own: m.target,
      scan: BLOCKS[m.block].scans ? [m.target, m.next].filter((d) => d !== NOBODY) : [],
      onLine: m.man < scene.lineCount,
      slides: BLOCKS[m.block].slides ?? false,
      at: placeOf(scene, m, pocket),
      mover: m.pull ? MOVERS.puller : m.man < scene.lineCount ? MOVERS.passSet : MOVERS.back,
    }));
}

/** Where a man who sets is when the rush comes; everybody else is where he stands. */
const placeOf = (scene: Scene, m: ManOutcome, pocket: Pocket): Point =>
  BLOCKS[m.block].course === 'retreat' && m.man < scene.lineCount
    ? setPoint(scene, { ...m, target: NOBODY }, pocket)
    : scene.men[m.man]!;

/** A lane with how late each blocker is to it: the same under every pressure it is part of. */
interface KnownLane extends Lane {
  readonly late: readonly number[];
}

/** A protection set up against a front's rushers, ready for any number of pressures. Lanes and races are worked out once. */
export class Rush {
  private readonly lanes = new Map<number, KnownLane>();

  constructor(
    private readonly scene: Scene,
    readonly guards: readonly Guard[],
    private readonly spot: Point,
    private readonly margin: number,
  ) {}

  /** A rusher's lane under a pressure, by a number of its own for each man he can twist with, going first or second. */
  private lane(rusher: number, twist: Pressure['twist']): KnownLane {
    const key = !twist?.includes(rusher)
      ? rusher
      : 100 + rusher * 200 + (twist[0] === rusher ? twist[1] : 100 + twist[0]);
    let known = this.lanes.get(key);
    if (!known) {
      const found = laneOf(this.scene, rusher, twist, this.spot);
      this.lanes.set(
        key,
        (known = { ...found, late: this.guards.map((g) => lateTo(g, found, this.spot, this.scene)) }),
      );
    }
    return known;
  }

  /** Seconds by which a blocker is late to a rusher who runs straight; negative when he has time in hand. */
  lateness(guard: number, rusher: number): number {
    return this.lane(rusher, null).late[guard]!;
  }

  /**
   * Who picks up whom: everybody his own man; two neighbours of the line pass a twist off when they set on one level; a scanning man the
   * first of his order who comes; then, the soonest rusher first, whoever has nobody or sets to a gap. Whom nobody can reach in time is free.
   */
  run(pressure: Pressure): PickUp {
    const { guards, margin } = this;
    const lanes = pressure.rushers.map((rusher) => this.lane(rusher, pressure.twist));
    const by = lanes.map((): number[] => []);
    const own = guards.map((g) => g.own);
    const passedOff = passTwist(this.scene, guards, own, pressure);
    const reach = (g: number, l: number): boolean =>
      own[g] === lanes[l]!.rusher || (isBeside(guards[g]!, lanes[l]!) && !moreThan(lanes[l]!.late[g]!, margin));
    const idle: number[] = [];
    for (let g = 0; g < guards.length; g++) {
      const at = guards[g]!.scan.length > 0 || guards[g]!.slides ? NOBODY : pressure.rushers.indexOf(own[g]!);
      if (at < 0) idle.push(g);
      else by[at]!.push(g);
    }
    const spare: number[] = [];
    for (const g of idle) {
      const first = guards[g]!.scan.find((d) => {
        const l = pressure.rushers.indexOf(d);
        return l >= 0 && by[l]!.length === 0 && reach(g, l);
      });
      if (first === undefined) spare.push(g);
      else by[pressure.rushers.indexOf(first)]!.push(g);
    }
    // Of two on one rusher, whoever can leave him.
    for (const men of by) for (let i = 1; i < men.length; i++) spare.push(men[i]!);
    const open: number[] = [];
    const sooner = (a: number, b: number): number => lanes[a]!.arrives - lanes[b]!.arrives || a - b;
    for (let l = 0; l < lanes.length; l++) if (by[l]!.length === 0) putInOrder(open, l, sooner);
    const matched = open.length > 0 ? matchGuards(open, spare, guards, own, lanes, reach) : [];
    for (const l of open) {
      const g = matched[l]!;
      if (g === NOBODY) continue;
      for (const men of by) if (men.length > 1 && men.includes(g)) men.splice(men.indexOf(g), 1);
      by[l]!.push(g);
    }
    return {
      lanes,
      by: by.map((men) => men.map((g) => guards[g]!.man)),
      free: open.filter((l) => by[l]!.length === 0),
      passedOff,
      late: lanes.flatMap((l, i) => (by[i]!.length === 1 && l.late[by[i]![0]!]! > margin ? [i] : [])),
    };
  }
}

/** When two neighbours of the line have the two who twist, on one level, they change men. */
function passTwist(
  scene: Scene,
  guards: readonly Guard[],
  own: number[],
  { twist }: Pressure,
): readonly [number, number] | null {
  if (!twist) return null;
  const [a, b] = twist.map((d) => guards.findIndex((g, i) => own[i] === d && g.scan.length === 0 && g.onLine)) as [
    number,
    number,
  ];
  if (a < 0 || b < 0 || a === b) return null;
  const [one, other] = [scene.men[guards[a]!.man]!, scene.men[guards[b]!.man]!];
  if (Math.abs(one.index - other.index) !== 1 || moreThan(Math.abs(guards[a]!.at.y - guards[b]!.at.y), SAME_LEVEL))
    return null;
  [own[a], own[b]] = [own[b]!, own[a]!];
  return [one.index, other.index];
}

/**
 * Augmenting paths, so that as many rushers as possible are had; whose man he is by rule is asked first, then the nearest. For each lane
 * its guard, -1 for nobody.
 */
function matchGuards(
  open: readonly number[],
  spare: readonly number[],
  guards: readonly Guard[],
  own: readonly number[],
  lanes: readonly Lane[],
  reach: (guard: number, lane: number) => boolean,
): number[] {
  const hasHim = lanes.map(() => NOBODY);
  const his = guards.map(() => NOBODY);
  /** Who has been asked on the way to one lane, a bit for each. */
  let asked = 0;
  const find = (l: number): boolean => {
    const place = (g: number): number => (own[g] === lanes[l]!.rusher ? -1 : Math.abs(guards[g]!.at.x - lanes[l]!.x));
    const willing: number[] = [];
    for (const g of spare) if (!has(asked, g) && reach(g, l)) putInOrder(willing, g, (x, y) => place(x) - place(y));
    for (const g of willing) {
      asked |= bitOf(g);
      if (his[g] !== NOBODY && !find(his[g]!)) continue;
      hasHim[l] = g;
      his[g] = l;
      return true;
    }
    return false;
  };
  for (const l of open) {
    asked = 0;
    find(l);
  }
  return hasHim;
}

/** Next to his place on the line, or anywhere for a man behind it. */
const isBeside = (guard: Guard, lane: Lane): boolean =>
  !guard.onLine || atMost(Math.abs(guard.at.x - lane.x), HAND_HELP);

/** By how many seconds he is late where he has his best chance on the rusher's way, in front of the quarterback. */
function lateTo(guard: Guard, lane: Lane, spot: Point, scene: Scene): number {
  const mover = moverOf(scene.defenders[lane.rusher]!);
  const run = distance(lane.from, spot);
  let best = Infinity;
  for (let i = 0; i < SAMPLES; i++) {
    const place = between(lane.from, spot, i / SAMPLES);
    best = Math.min(
      best,
      timeToCover(distance(guard.at, place), guard.mover) - timeToCover(lane.gone + (run * i) / SAMPLES, mover),
    );
  }
  return best;
}
