import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { SNAP_DIMENSIONS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { BookPageSchema, BookSnapsSchema, type BookLine, type BookPage, type BookSnap } from '#core/grade/book/lines';
import type { Measure } from '#core/grade/book/measures';
import {
  BookPlaysSchema,
  PlayPageSchema,
  type BookPlay,
  type BookPlays,
  type PlayCount,
  type PlayLine,
  type PlayPage,
} from '#core/grade/book/play-result';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import { inOrder } from './words';

interface Behind {
  readonly title: string;
  readonly filter: BookFilter;
  readonly total: number;
}
/** What a number of grades was counted from. */
export interface OpenedMarks extends Behind {
  readonly of: 'marks';
  readonly measure: Measure;
  readonly snaps: readonly BookSnap[];
}
/** What a figure of plays was counted from. */
export interface OpenedPlays extends Behind {
  readonly of: 'plays';
  readonly count: PlayCount;
  readonly snaps: readonly BookPlay[];
}
export type Opened = OpenedMarks | OpenedPlays;
export interface Choice {
  readonly key: string;
  readonly label: string;
  readonly marks: number;
}
const AT_ONCE = 50;

/** The words of an address for a filter. */
export function queryOf(filter: BookFilter, more: Readonly<Record<string, string>> = {}): string {
  const words = new URLSearchParams(more);
  for (const [key, values] of Object.entries(filter)) for (const value of values ?? []) words.append(key, value);
  return words.toString();
}

/** What grades come to, counted one way at a time; every number opens the snaps it was counted from. */
export const useBook = defineStore('book', () => {
  const session = useSession();
  const by = ref<Dimension>('man');
  const filter = shallowRef<BookFilter>({});
  const page = shallowRef<BookPage | null>(null);
  /** The same counted over the games before the one that is looked at. */
  const before = shallowRef<BookPage | null>(null);
  const trend = shallowRef<BookPage | null>(null);
  const plays = shallowRef<PlayPage | null>(null);
  const opened = shallowRef<Opened | null>(null);
  const choices = shallowRef<{ readonly of: Dimension; readonly values: readonly Choice[] } | null>(null);
  const problem = ref('');
  const loading = ref(false);
  const attempt = attempting(problem);
  const asked = onlyNewest();

  const lines = computed(() => (page.value ? inOrder(page.value.by, page.value.lines) : []));

  const read = async (of: Dimension, what: BookFilter): Promise<BookPage> =>
    BookPageSchema.parse(await request(`/api/book?${queryOf(what, { by: of })}`));

  /** Counts grades; whatever was asked for before and comes later is not shown. */
  async function look(of: Dimension, what: BookFilter): Promise<void> {
    const isNewest = asked.begin();
    by.value = of;
    filter.value = what;
    opened.value = null;
    loading.value = true;
    await attempt(async () => {
      const games = read('game', without(what, 'game'));
      const [found, all, earlier, results] = await Promise.all([
        of === 'game' && !what.game ? games : read(of, what),
        games,
        readBefore(of, what, games),
        session.staff ? readResults(of, what) : null,
      ]);
      if (!isNewest()) return;
      page.value = found;
      trend.value = all;
      before.value = earlier;
      plays.value = results;
    }, isNewest);
    if (isNewest()) loading.value = false;
  }

  /** Where one game is looked at: the games of its season before it, counted the same way. */
  async function readBefore(of: Dimension, what: BookFilter, games: Promise<BookPage>): Promise<BookPage | null> {
    const [game, ...more] = what.game ?? [];
    if (game === undefined || more.length > 0 || of === 'game') return null;
    const all = await games;
    const earlier = all.lines.map((l) => l.key).filter((key) => weekOf(all, key) < weekOf(all, game));
    return earlier.length ? read(of, { ...what, game: earlier.slice(0, 20) }) : null;
  }

  async function readResults(of: Dimension, what: BookFilter): Promise<PlayPage> {
    const dimension = SNAP_DIMENSIONS.find((d) => d === of) ?? 'play';
    return PlayPageSchema.parse(await request(`/api/book/plays?${queryOf(what, { by: dimension })}`));
  }

  /** Opens the snaps behind a number of a line; `only`: narrowed to a part of them. */
  const open = (
    line: Pick<BookLine, 'key'>,
    title: string,
    measure: Measure,
    only: BookFilter = {},
  ): Promise<boolean> =>
    attempt(async () => {
      const mine = asked;
      const own = { ...(line.key === 'all' ? filter.value : { ...filter.value, [by.value]: [line.key] }), ...only };
      const { snaps, total } = await readSnaps(own, measure, 0);
      if (mine === asked) opened.value = { of: 'marks', title, measure, filter: own, snaps, total };
    });

  /** Opens the snaps behind a figure of plays; `only`: narrowed to a part of them. */
  const openPlays = (
    line: Pick<PlayLine, 'key'>,
    title: string,
    count: PlayCount,
    only: BookFilter = {},
  ): Promise<boolean> =>
    attempt(async () => {
      const mine = asked;
      const of = plays.value!.by;
      const own = { ...(line.key === 'all' ? filter.value : { ...filter.value, [of]: [line.key] }), ...only };
      const found = await readPlays(own, count, 0);
      if (mine === asked)
        opened.value = { of: 'plays', title, count, filter: own, snaps: found.plays, total: found.total };
    });
  const more = (): Promise<boolean> =>
    attempt(async () => {
      const at = opened.value;
      if (!at) return;
      const skip = at.snaps.length;
      const longer =
        at.of === 'marks'
          ? await readSnaps(at.filter, at.measure, skip).then(({ snaps, total }): Opened => ({
              ...at,
              snaps: [...at.snaps, ...snaps],
              total,
            }))
          : await readPlays(at.filter, at.count, skip).then((next): Opened => ({
              ...at,
              snaps: [...at.snaps, ...next.plays],
              total: next.total,
            }));
      if (opened.value === at) opened.value = longer;
    });

  /** What a dimension can be narrowed to. */
  const choose = (of: Dimension | null): Promise<boolean> =>
    attempt(async () => {
      choices.value = null;
      if (!of) return;
      const found = await request<Partial<Record<Dimension, Choice[]>>>(
        `/api/book/choices?${queryOf(without(filter.value, of), { of })}`,
      );
      choices.value = { of, values: inOrder(of, found[of] ?? []) };
    });

  return {
    by,
    filter,
    page,
    before,
    trend,
    plays,
    lines,
    opened,
    choices,
    problem,
    loading,
    look,
    open,
    openPlays,
    more,
    choose,
  };
});

/** Snaps behind a number, a page at a time. */
export async function readSnaps(
  filter: BookFilter,
  measure: Measure,
  skip: number,
  take = AT_ONCE,
  onFilm = false,
): Promise<{ snaps: BookSnap[]; total: number }> {
  const only: Record<string, string> = onFilm ? { film: 'only' } : {};
  const query = queryOf(filter, { measure, skip: String(skip), take: String(take), ...only });
  return BookSnapsSchema.parse(await request(`/api/book/snaps?${query}`));
}

/** Snaps behind a figure of plays, a page at a time. */
export async function readPlays(
  filter: BookFilter,
  plays: PlayCount,
  skip: number,
  take = AT_ONCE,
): Promise<BookPlays> {
  const query = queryOf(filter, { plays, skip: String(skip), take: String(take) });
  return BookPlaysSchema.parse(await request(`/api/book/plays/snaps?${query}`));
}

export function without(filter: BookFilter, key: Dimension): BookFilter {
  const rest = { ...filter };
  delete rest[key];
  return rest;
}

/** Games are said with their week first. */
const weekOf = ({ lines }: BookPage, key: string): number =>
  Number(/\d+/.exec(lines.find((l) => l.key === key)?.label ?? '')?.[0] ?? 0);

/** Where the snaps behind a number are watched, one after the other. */
export function reelOf(opened: Opened, from: { snapId: number } | undefined = opened.snaps[0]): string {
  const figure: Record<string, string> = opened.of === 'marks' ? { measure: opened.measure } : { plays: opened.count };
  return `/film/${from?.snapId}?${new URLSearchParams({ reel: queryOf(opened.filter, figure) }).toString()}`;
}

/** Most snaps the server gives at once. */
const MOST_AT_ONCE = 200;

/** All snaps behind a filter, page by page: the misses come first, so that a part of them would say too little good of anybody. */
export async function readEverySnap(filter: BookFilter, onFilm = false): Promise<BookSnap[]> {
  const found: BookSnap[] = [];
  for (let total = 1; found.length < total;) {
    const page = await readSnaps(filter, 'both', found.length, MOST_AT_ONCE, onFilm);
    if (page.snaps.length === 0) break;
    found.push(...page.snaps);
    total = page.total;
  }
  return found;
}
