import type { Dimension } from './dimensions';
import type { BookLine } from './lines';
import { MEASURE_IDS, type Count, type Measure } from './measures';
import { isOfSaid, KEPT, VALUES_SAID, type Said } from './said';
import { SPREAD_PARTS, spreadOf } from './spread';
import { MISS_WEIGHTS } from './weigh';

/** How many marks of each kind stand under each value of a dimension; those without a value, and all of one by what is said, under `null`. */
export type Counted = ReadonlyMap<string | null, ReadonlyMap<number, number>>;
/** What the marks of each kind say. */
export type Kinds = ReadonlyMap<number, Said>;

/** What was done as asked counts once, whatever came of the play. */
const weightOf = ({ earned, possible, consequence }: Said): number =>
  consequence === null || spreadOf(earned, possible) === 'all' ? 1 : MISS_WEIGHTS[consequence];

/** What a mark adds to a count: `told` is 1 where it can be told at all. */
interface Share {
  readonly good: number;
  readonly of: number;
  readonly told: number;
}
const NOT_TOLD: Share = { good: 0, of: 0, told: 0 };
const earnedTimes = (weight: number, { earned, possible }: Said): Share => ({
  ...{ good: earned * weight, of: possible * weight },
  told: Number(possible > 0),
});

/** `isDone`: whether that very part of the block was done whose line it is, in place of all of it. */
function shareOf(measure: Measure, said: Said, isDone: boolean | null): Share {
  if (measure === 'score') return earnedTimes(1, said);
  if (measure === 'weighed') return earnedTimes(weightOf(said), said);
  const kept = measure === 'technique' && isDone !== null ? isDone : KEPT[measure](said);
  return kept === null ? NOT_TOLD : { good: Number(kept), of: 1, told: 1 };
}

/** What a mark adds to every figure of a line, in a row: of each measure its share, then the part of the spread it stands in. */
function figuresOf(said: Said, isDone: boolean | null): number[] {
  const part = spreadOf(said.earned, said.possible);
  return [
    ...MEASURE_IDS.flatMap((measure) => {
      const { good, of, told } = shareOf(measure, said, isDone);
      return [good, of, told];
    }),
    ...SPREAD_PARTS.map((one) => Number(one === part)),
  ];
}
const PARTS_OF_A_SHARE = 3;
const SPREAD_BEGINS = PARTS_OF_A_SHARE * MEASURE_IDS.length;

/** Marks added up, a kind at a time. */
class Sum {
  private marks = 0;
  private readonly figures = new Float64Array(SPREAD_BEGINS + SPREAD_PARTS.length);
  private readonly faults = new Map<string, number>();

  add(said: Said, figures: readonly number[], n: number): void {
    this.marks += n;
    for (let i = 0; i < figures.length; i++) this.figures[i]! += n * figures[i]!;
    for (const fault of said.faults) this.faults.set(fault, (this.faults.get(fault) ?? 0) + n);
  }

  line(key: string, withFaults: boolean): BookLine {
    const count = (measure: number): Count => {
      const at = measure * PARTS_OF_A_SHARE;
      return { good: this.figures[at]!, of: this.figures[at + 1]!, unknown: this.marks - this.figures[at + 2]! };
    };
    const faults = [...this.faults].map(([fault, n]) => ({ fault, count: n }));
    return {
      ...{ key, label: key, marks: this.marks },
      counts: Object.fromEntries(MEASURE_IDS.map((measure, i) => [measure, count(i)])) as BookLine['counts'],
      spread: Object.fromEntries(
        SPREAD_PARTS.map((part, i) => [part, this.figures[SPREAD_BEGINS + i]!]),
      ) as BookLine['spread'],
      faults: withFaults ? faults.sort((a, b) => b.count - a.count || inOrder(a.fault, b.fault)) : [],
    };
  }
}

const inOrder = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

/** Marks as they stand under the values of a dimension. */
function* placed(counted: Counted, kinds: Kinds, by: Dimension): Generator<[key: string, kind: number, n: number]> {
  for (const [key, many] of counted)
    for (const [kind, n] of many) {
      if (isOfSaid(by)) for (const value of VALUES_SAID[by](kinds.get(kind)!)) yield [value, kind, n];
      else if (key !== null) yield [key, kind, n];
    }
}

/**
 * The lines of the Book by a dimension, the most marks first, and everything together. Of a part of the block `technique` says whether that
 * very part was done; lines of a fault do not tell its own count once more.
 */
export function linesOf(counted: Counted, kinds: Kinds, by: Dimension): { lines: BookLine[]; total: BookLine } {
  const figures = new Map([...kinds].map(([kind, said]) => [kind, figuresOf(said, null)]));
  const sums = new Map<string, Sum>();
  const all = new Sum();
  for (const [key, kind, n] of placed(counted, kinds, by)) {
    const said = kinds.get(kind)!;
    const sum = sums.get(key) ?? new Sum();
    sums.set(key, sum);
    sum.add(said, by === 'phase' ? figuresOf(said, said.phasesDone.includes(key)) : figures.get(kind)!, n);
  }
  for (const many of counted.values()) for (const [kind, n] of many) all.add(kinds.get(kind)!, figures.get(kind)!, n);
  const lines = [...sums].map(([key, sum]) => sum.line(key, by !== 'fault'));
  return { lines: lines.sort((a, b) => b.marks - a.marks || inOrder(a.key, b.key)), total: all.line('all', false) };
}

/** The values of a dimension that come, with how many marks stand under each, the most first. */
export function valuesOf(counted: Counted, kinds: Kinds, by: Dimension): { key: string; marks: number }[] {
  const sums = new Map<string, number>();
  for (const [key, , n] of placed(counted, kinds, by)) sums.set(key, (sums.get(key) ?? 0) + n);
  return [...sums].map(([key, marks]) => ({ key, marks })).sort((a, b) => b.marks - a.marks || inOrder(a.key, b.key));
}
