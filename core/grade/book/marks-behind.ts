import { placesOf, type MarksAsked } from './count-marks';
import type { MarkColumn } from './mark-columns';
import type { Measure } from './measures';
import { KEPT } from './said';

/** A mark behind a number, by its ids. */
export interface MarkFound {
  readonly grade: number;
  readonly game: number;
  readonly number: number;
  readonly blocker: number;
}

/** The columns that are read beside those that marks are narrowed by. */
export const COLUMNS_BEHIND: readonly MarkColumn[] = ['grade', 'snap', 'game', 'number', 'blocker'];

/** In which order marks are looked at: the misses first, then what could not be told, as that is what one opens a number for. */
const PARTS = [false, null, true] as const;

const inOrder = (a: MarkFound, b: MarkFound): number => b.game - a.game || a.number - b.number || a.blocker - b.blocker;

/**
 * The marks behind a number, a page at a time: the misses first, of each the newest game first. `onFilm`: only of these snaps; all of them
 * where it is `null`.
 */
export function marksBehind(
  open: MarksAsked,
  measure: Measure,
  { skip, take }: { skip: number; take: number },
  onFilm: ReadonlySet<number> | null,
): { page: MarkFound[]; total: number } {
  const found = PARTS.map((): { count: number; first: MarkFound[] } => ({ count: 0, first: [] }));
  for (const marks of open.seasons) {
    const read = (name: MarkColumn): ((place: number) => number) => {
      const { values, codes } = marks.column(name);
      return (place) => values[codes[place]!]!;
    };
    const [grade, snap, game, number, blocker] = COLUMNS_BEHIND.map(read) as [Reader, Reader, Reader, Reader, Reader];
    const { values, codes } = marks.column('kind');
    const partOf = Array.from(values, (kind) => PARTS.indexOf(KEPT[measure](open.kinds.get(kind)!)));
    // Of one season marks are in order: more than the page ends at need not be put in order with those of others.
    const left = PARTS.map(() => skip + take);
    for (const place of placesOf(marks, open)) {
      if (onFilm && !onFilm.has(snap(place))) continue;
      const part = partOf[codes[place]!]!;
      found[part]!.count++;
      if (left[part]!-- > 0)
        found[part]!.first.push({
          grade: grade(place),
          game: game(place),
          number: number(place),
          blocker: blocker(place),
        });
    }
  }
  const page: MarkFound[] = [];
  let before = 0;
  for (const { count, first } of found) {
    const from = Math.max(0, skip - before);
    before += count;
    if (page.length < take) page.push(...first.sort(inOrder).slice(from, from + take - page.length));
  }
  return { page, total: before };
}
type Reader = (place: number) => number;
