import { isMeasured, rateIn, type BookLine } from '#core/grade/book/lines';
import { MEASURES, MEASURE_IDS, type Measure } from '#core/grade/book/measures';
import { PLAY_COUNTS, PLAY_COUNT_IDS, type PlayLine } from '#core/grade/book/play-result';
import { DIMENSIONS, type Dimension } from '#core/grade/book/dimensions';
import { faultName, type OwnFault } from '#core/model/faults';
import { sayKey } from './words';

/** A table as it goes out: what stands at the head of its columns, and its rows. */
export interface OutTable {
  readonly title: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly (string | number | null)[])[];
}

/** Columns of what no rubric here asked for are left out, and what a coach does not weigh. */
export const measuresOf = (lines: readonly BookLine[], weighs: boolean): Measure[] =>
  MEASURE_IDS.filter((m) => isMeasured(lines, m) && (weighs || m !== 'weighed'));

const round = (value: number, digits = 3): number => Number(value.toFixed(digits));

/** Grades as they go out: of each measure the share, the counts and the interval. */
export function gradesTable(
  by: Dimension,
  lines: readonly BookLine[],
  own: readonly OwnFault[],
  weighs: boolean,
): OutTable {
  const measures = measuresOf(lines, weighs);
  const heads = measures.flatMap((m) => [
    MEASURES[m].name,
    `${MEASURES[m].name}: kept`,
    `${MEASURES[m].name}: of`,
    `${MEASURES[m].name}: not told`,
    `${MEASURES[m].name}: low`,
    `${MEASURES[m].name}: high`,
  ]);
  const row = (line: BookLine): (string | number | null)[] => {
    const rates = measures.flatMap((m) => {
      const { share, good, of, unknown, low, high } = rateIn(line, m);
      return [share === null ? null : round(share), round(good, 1), of, unknown, round(low), round(high)];
    });
    const faults = line.faults.map((f) => `${faultName(f.fault, own)} ${f.count}`).join('; ');
    return [sayKey(by, line), line.marks, ...rates, faults];
  };
  return {
    title: `Grades by ${DIMENSIONS[by].name}`,
    heads: [DIMENSIONS[by].name, 'marks', ...heads, 'faults'],
    rows: lines.map(row),
  };
}

/** What plays came to, as it goes out. */
export function playsTable(by: Dimension, lines: readonly PlayLine[]): OutTable {
  const per = (yards: number, snaps: number): number | null => (snaps ? round(yards / snaps, 1) : null);
  return {
    title: `Plays by ${DIMENSIONS[by].name}`,
    heads: [
      DIMENSIONS[by].name,
      'yards a snap',
      'yards before contact',
      ...PLAY_COUNT_IDS.map((c) => PLAY_COUNTS[c].name),
    ],
    rows: lines.map((l) => [
      sayKey(by, l),
      per(l.yards, l.counts.snaps),
      per(l.beforeContact, l.counts.touched),
      ...PLAY_COUNT_IDS.map((c) => l.counts[c]),
    ]),
  };
}
