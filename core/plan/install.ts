import { isSamePlay, sharesOf, type PlannedPlay, type WeekPlan } from '../model/week-plan';
import type { PlanCell } from './work-plan';

/** What a play asks a place to learn that it does not know from the plays before it. */
export interface NewToSeat {
  readonly seat: string;
  readonly sentences: number;
  readonly blocks: readonly string[];
  readonly calls: readonly string[];
}

/** A play in the order in which it is put in. */
export interface InstallStep {
  /** Its place in the plan. */
  readonly play: number;
  /** What it builds on, which was put in before it. */
  readonly after: readonly number[];
  readonly adds: readonly NewToSeat[];
  /** Sentences, blocks and calls together that somebody has to learn. */
  readonly cost: number;
  /** Share of the game for which there is a sound call now and was none before. */
  readonly unlocks: number;
  /** The same with everything before it. */
  readonly covered: number;
}

/** A second sound call for a look is worth so much of the first. */
const SECOND = 0.4;

/**
 * What of the game a call meets: a look, when the ball is run or when it is thrown. A sound run is none of a throw, so each has its share of the
 * game by how often it is called.
 */
interface Meeting {
  readonly key: string;
  readonly share: number;
}

/** Of every play what it is sound against. */
function soundMeetings(
  { plays, looks }: Pick<WeekPlan, 'plays' | 'looks'>,
  cells: readonly PlanCell[],
): (play: number) => Meeting[] {
  const shares = sharesOf(looks);
  const throws = new Set(cells.filter((c) => c.throws).map((c) => c.play));
  const known = [...new Set(cells.map((c) => c.play))];
  const timesOf = (among: readonly number[]): number => among.reduce((sum, p) => sum + plays[p]!.times, 0);
  return (play) => {
    const kind = throws.has(play);
    const ofKind = timesOf(known.filter((p) => throws.has(p) === kind)) / timesOf(known);
    return cells
      .filter((c) => c.play === play && c.verdict === 'sound')
      .map(({ look }) => ({ key: `${kind} ${look}`, share: ofKind * shares[look]! }));
  };
}

/**
 * The order in which plays are put in: next is always what opens most of the game for what it asks people to learn. A play that opens nothing
 * new comes when it is cheap, and a play nobody could work out is left out. What builds on another play comes after it; plays that build on
 * each other in a circle come as if nothing had been said.
 */
export function installOrder(plan: Pick<WeekPlan, 'plays' | 'looks'>, cells: readonly PlanCell[]): InstallStep[] {
  const meetings = soundMeetings(plan, cells);
  const known = new Map<string, Known>();
  /** What there is a sound call for, and how many. */
  const sound = new Map<string, number>();
  let covered = 0;
  const left = new Set(cells.map((c) => c.play));
  const steps: InstallStep[] = [];
  while (left.size > 0) {
    const built = new Map([...left].map((play) => [play, buildsOn(plan.plays, play).filter((p) => left.has(p))]));
    const ready = [...left].filter((play) => built.get(play)!.length === 0);
    const tries = (ready.length > 0 ? ready : [...left]).map((play) => {
      const his = cells.filter((c) => c.play === play);
      const adds = newTo(his, known);
      const meets = meetings(play);
      const worth = meets.reduce((sum, { key, share }) => sum + share * SECOND ** (sound.get(key) ?? 0), 0);
      const cost = adds.reduce((sum, a) => sum + a.sentences + a.blocks.length + a.calls.length, 0);
      return { play, his, adds, meets, cost, rate: worth / (1 + cost) };
    });
    const best = tries.reduce((a, b) => (b.rate > a.rate ? b : a));
    const unlocks = best.meets.filter((m) => !sound.has(m.key)).reduce((sum, m) => sum + m.share, 0);
    for (const { key } of best.meets) sound.set(key, (sound.get(key) ?? 0) + 1);
    covered += unlocks;
    learn(best.his, known);
    left.delete(best.play);
    const after = buildsOn(plan.plays, best.play).filter((p) => steps.some((s) => s.play === p));
    steps.push({ play: best.play, after, adds: best.adds, cost: best.cost, unlocks, covered });
  }
  return steps;
}

/** Plays that one builds on: the one the coach has named, and the same call with fewer tags. */
export function buildsOn(plays: readonly PlannedPlay[], play: number): number[] {
  const { scheme, side, tags, after } = plays[play]!;
  return plays.flatMap((other, i) => {
    const isPlainer =
      other.scheme === scheme &&
      other.side === side &&
      other.tags.length < tags.length &&
      other.tags.every((t) => tags.includes(t));
    return i !== play && (isPlainer || (after !== undefined && isSamePlay(other, after))) ? [i] : [];
  });
}

interface Known {
  readonly sentences: Set<string>;
  readonly blocks: Set<string>;
  readonly calls: Set<string>;
}

function newTo(cells: readonly PlanCell[], known: ReadonlyMap<string, Known>): NewToSeat[] {
  const found = new Map<string, Known>();
  learn(cells, found);
  const unknown = (of: ReadonlySet<string>, before: ReadonlySet<string> | undefined): string[] =>
    [...of].filter((x) => !before?.has(x));
  return [...found]
    .map(([seat, { sentences, blocks, calls }]) => ({
      seat,
      sentences: unknown(sentences, known.get(seat)?.sentences).length,
      blocks: unknown(blocks, known.get(seat)?.blocks),
      calls: unknown(calls, known.get(seat)?.calls),
    }))
    .filter((a) => a.sentences + a.blocks.length + a.calls.length > 0);
}

function learn(cells: readonly PlanCell[], known: Map<string, Known>): void {
  for (const { asked } of cells)
    for (const { seat, sentence, block, call } of asked) {
      const his = known.get(seat) ?? { sentences: new Set(), blocks: new Set(), calls: new Set() };
      known.set(seat, his);
      his.sentences.add(sentence);
      his.blocks.add(block);
      if (call !== null) his.calls.add(call);
    }
}
