import { atMost, moreThan } from '../geometry/compare';
import { HAND_HELP } from '../geometry/tolerances';
import type { Front } from '../model/front';
import type { PressureProof, PressureReport, PressureResult } from '../model/pressure';
import { mikeOf } from '../resolve/explain/mike';
import type { Prepared } from '../resolve/prepare/prepare-call';
import { decide } from '../resolve/resolve';
import { NOBODY, type Scene } from '../vocabulary/scene';
import { gapAt } from './lanes';
import { guardsOf, Rush, type Guard, type PickUp } from './pick-up';
import { FEWEST_RUSHERS, MOST_RUSHERS, pressuresOf, type Pressure } from './pressures';

export interface Rushers {
  readonly fewest?: number;
  readonly most?: number;
}

interface Counts {
  all: number;
  held: number;
  late: number;
  short: number;
}
const noCounts = (): Counts => ({ all: 0, held: 0, late: 0, short: 0 });
const count = (counts: Counts, result: PressureResult): void => {
  counts.all++;
  counts[result]++;
};

interface Way {
  id: string;
  gap: string;
  count: number;
  soonest: number;
  pressure: Pressure;
  picked: PickUp;
}

/**
 * A protection against every legal pressure of a front: who is picked up, who is free, where, and how soon he is at the quarterback's spot
 * against the time the throw needs. *Short*: somebody free is there before the ball is out; *late*: everybody has a man, one of them too
 * late; *held*: neither. What strength and skill make of it the model does not know. Pure and deterministic.
 */
export function provePressures(
  prepared: Prepared,
  front: Front,
  { fewest = FEWEST_RUSHERS, most = MOST_RUSHERS }: Rushers = {},
): PressureProof {
  const bench = setBench(prepared, front);
  const all = noCounts();
  const byNumber = new Map<number, Counts>();
  const ways = new Map<string, Way>();
  for (const pressure of pressuresOf(bench.scene, fewest, most)) {
    const picked = bench.run(pressure);
    const result = bench.resultOf(picked);
    count(all, result);
    const n = pressure.rushers.length;
    if (!byNumber.has(n)) byNumber.set(n, noCounts());
    count(byNumber.get(n)!, result);
    if (result === 'short') noteWays(bench, pressure, picked, ways);
  }
  const { scheme, side, tags } = {
    scheme: prepared.scheme.tree.id,
    side: prepared.call.side,
    tags: [...prepared.tags],
  };
  return {
    scheme,
    side,
    tags,
    mike: mikeOf(prepared.seated, bench.scene).id,
    time: bench.time,
    counts: all,
    byNumber: [...byNumber].sort(([a], [b]) => a - b).map(([rushers, counts]) => ({ rushers, counts })),
    ways: [...ways.values()]
      .sort((a, b) => b.count - a.count || a.soonest - b.soonest || (a.id < b.id ? -1 : 1))
      .map(({ id, gap, count: n, soonest, pressure, picked }) => ({
        id,
        gap,
        count: n,
        soonest: round(soonest),
        smallest: bench.report(pressure, picked),
      })),
    ...matchups(bench),
  };
}

/** One pressure by the names of who comes; `null` when a name is not in the front. */
export function tryPressure(
  prepared: Prepared,
  front: Front,
  rushers: readonly string[],
  twist: readonly [string, string] | null,
): PressureReport | null {
  const bench = setBench(prepared, front);
  const find = (id: string): number => bench.scene.defenders.findIndex((d) => d.id === id);
  const named = rushers.map(find);
  const pair = twist?.map(find) as [number, number] | undefined;
  if (named.includes(NOBODY) || pair?.some((d) => !named.includes(d))) return null;
  const pressure: Pressure = { rushers: named.sort((a, b) => a - b), twist: pair ?? null };
  return bench.report(pressure, bench.run(pressure));
}

const round = (seconds: number): number => Math.round(seconds * 100) / 100;

/** A protection set up against one front, ready for any number of pressures. */
class Bench {
  readonly time: number;
  private readonly rush: Rush;
  constructor(
    readonly scene: Scene,
    readonly guards: readonly Guard[],
    { aim, settings }: Prepared,
  ) {
    this.time = aim.pocket!.time;
    this.rush = new Rush(scene, guards, aim.pocket!.spot, settings.pullMargin);
  }

  run(pressure: Pressure): PickUp {
    return this.rush.run(pressure);
  }

  beats(picked: PickUp, lane: number): boolean {
    return !moreThan(picked.lanes[lane]!.arrives, this.time);
  }

  resultOf(picked: PickUp): PressureResult {
    return picked.free.some((l) => this.beats(picked, l)) ? 'short' : picked.late.length ? 'late' : 'held';
  }

  /** Seconds a blocker has in hand against a rusher; negative when he is late. */
  spare(man: number, rusher: number): number {
    return -this.rush.lateness(
      this.guards.findIndex((g) => g.man === man),
      rusher,
    );
  }

  name(defender: number): string {
    return this.scene.defenders[defender]!.id;
  }

  man(index: number): string {
    return this.scene.men[index]!.id;
  }

  report({ rushers, twist }: Pressure, picked: PickUp): PressureReport {
    const { lanes, by } = picked;
    return {
      rushers: rushers.map((d) => this.name(d)),
      twist: twist && [this.name(twist[0]), this.name(twist[1])],
      result: this.resultOf(picked),
      pickedUp: lanes.flatMap((l, i) =>
        by[i]!.length ? [{ rusher: this.name(l.rusher), by: by[i]!.map((m) => this.man(m)) }] : [],
      ),
      free: picked.free.map((l) => ({
        id: this.name(lanes[l]!.rusher),
        gap: gapAt(this.scene, lanes[l]!.x),
        arrives: round(lanes[l]!.arrives),
      })),
      late: picked.late.map((l) => this.name(lanes[l]!.rusher)),
      passedOff: picked.passedOff && [this.man(picked.passedOff[0]), this.man(picked.passedOff[1])],
    };
  }
}

function setBench(prepared: Prepared, front: Front): Bench {
  const { pocket } = prepared.aim;
  if (!pocket) throw new Error(`${prepared.scheme.tree.id} is no protection`);
  const outcome = decide(prepared, front);
  return new Bench(outcome.settled.scene, guardsOf(outcome, pocket), prepared);
}

/** Plainer is: nobody of the line drops, then fewer men, then without a twist. */
const weight = ({ scene }: Bench, { rushers, twist }: Pressure): number =>
  scene.first.filter((d) => !rushers.includes(d)).length * 5 + rushers.length * 2 + (twist ? 1 : 0);

function noteWays(bench: Bench, pressure: Pressure, picked: PickUp, ways: Map<string, Way>): void {
  for (const l of picked.free) {
    if (!bench.beats(picked, l)) continue;
    const [id, gap, { arrives }] = [
      bench.name(picked.lanes[l]!.rusher),
      gapAt(bench.scene, picked.lanes[l]!.x),
      picked.lanes[l]!,
    ];
    const key = `${id} ${gap}`;
    const way = ways.get(key);
    if (!way) ways.set(key, { id, gap, count: 1, soonest: arrives, pressure, picked });
    else {
      way.count++;
      way.soonest = Math.min(way.soonest, arrives);
      if (weight(bench, pressure) < weight(bench, way.pressure)) Object.assign(way, { pressure, picked });
    }
  }
}

/** When only the men on the line come: who is by himself, and who has a second man or a neighbour with a hand free. */
function matchups(bench: Bench): Pick<PressureProof, 'alone' | 'doubles'> {
  const { scene, guards } = bench;
  const { lanes, by } = bench.run({ rushers: scene.first, twist: null });
  const busy = new Set(by.filter((men) => men.length === 1).flat());
  const alone: PressureProof['alone'] = [];
  const doubles: PressureProof['doubles'] = [];
  lanes.forEach((l, i) => {
    const men = by[i]!;
    if (men.length === 0) return;
    const hands =
      men.length > 1
        ? men
        : [
            ...men,
            ...guards
              .filter(
                (g) =>
                  g.onLine &&
                  !busy.has(g.man) &&
                  atMost(Math.abs(g.at.x - l.x), HAND_HELP) &&
                  men.some((m) => Math.abs(m - g.man) === 1),
              )
              .map((g) => g.man),
          ];
    if (hands.length > 1) doubles.push({ on: bench.name(l.rusher), by: hands.map((m) => bench.man(m)) });
    else
      alone.push({
        blocker: bench.man(men[0]!),
        on: bench.name(l.rusher),
        spare: round(bench.spare(men[0]!, l.rusher)),
      });
  });
  return { alone: alone.sort((a, b) => a.spare - b.spare), doubles };
}
