import fc from 'fast-check';
import { columnOf, MARK_COLUMNS, NONE, type MarkColumn, type SeasonMarks } from '../grade/book/mark-columns';
import type { Said } from '../grade/book/said';

/** A mark as a row: its season, and its number in every column. */
export type MarkInRow = Record<MarkColumn, number> & { readonly season: number };

const yesOrNo = fc.option(fc.boolean());
const some = (...words: string[]): fc.Arbitrary<string[]> => fc.subarray(words);
/** What marks of a few kinds say. */
export const someSaid: fc.Arbitrary<Said> = fc
  .record({
    ...{ assignment: yesOrNo, technique: yesOrNo, finish: yesOrNo, bothKept: yesOrNo, outcome: yesOrNo, film: yesOrNo },
    rubric: fc.constantFrom('plus-minus@1', 'points@2'),
    possible: fc.constantFrom(0, 1, 2),
    share: fc.constantFrom(0, 0.25, 0.5, 0.75, 1),
    faults: some('high-pads', 'late-hands'),
    facts: some('knockdown', 'sack'),
    consequence: fc.option(fc.constantFrom('harmless' as const, 'costly' as const, 'fatal' as const)),
    phases: fc.tuple(some('stance', 'strike'), some('drive', 'finish')),
  })
  .map(({ share, phases: [phasesDone, phasesNot], ...said }) => ({
    ...said,
    ...{ earned: said.possible * share, phasesDone, phasesNot },
  }));

/** Marks of two seasons, five games each, of which some numbers are none; no two of one blocker on one snap. */
export const someMarks: fc.Arbitrary<MarkInRow[]> = fc
  .uniqueArray(
    fc
      .record({
        ...Object.fromEntries(MARK_COLUMNS.map((name) => [name, fc.constantFrom(1, 2, 3)])),
        ...{
          season: fc.constantFrom(1, 2),
          of: fc.nat(4),
          pair: fc.constantFrom(NONE, 1),
          zone: fc.constantFrom(NONE, 2),
        },
        ...{
          target: fc.constantFrom(NONE, 1, 2),
          player: fc.constantFrom(NONE, 7, 8),
          yard: fc.integer({ min: -5, max: 20 }),
        },
      })
      .map(({ of, ...mark }) => ({ ...mark, game: of * 2 + Number(mark.season) }) as unknown as MarkInRow),
    { selector: ({ game, number, blocker }) => `${game} ${number} ${blocker}`, maxLength: 60, size: 'max' },
  )
  .map((marks) => marks.map((mark, i) => ({ ...mark, grade: i + 1 })));

/** The same season by season, column by column. */
export function seasonsOf(rows: readonly MarkInRow[]): SeasonMarks[] {
  return [...new Set(rows.map(({ season }) => season))].map((season) => {
    const own = rows
      .filter((row) => row.season === season)
      .sort((a, b) => b.game - a.game || a.number - b.number || a.blocker - b.blocker);
    return {
      ...{ season, size: own.length },
      column: (name) => columnOf(Int32Array.from(own, (row) => row[name])),
    };
  });
}
