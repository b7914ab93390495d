import { computed, ref, shallowRef } from 'vue';
import { filterOfQuery } from '#core/grade/book/dimensions';
import { disagreements, TwoMarksSchema } from '#core/grade/agreement/agreement';
import { sayBeside, sayMarks } from '#core/grade/say-grade';
import type { Grade } from '#core/model/grade';
import { MEASURE_IDS, type Measure } from '#core/grade/book/measures';
import { attempting } from '~/features/session/attempt';
import { PLAY_COUNT_IDS, sayPlay, type PlayCount } from '#core/grade/book/play-result';
import { readPlays, readSnaps } from '~/features/book/store';
import { schemeName } from '~/features/board/scheme-names';
import { usePlaybook } from '~/features/playbook/store';
import { request } from '~/features/session/request';

/** More than anybody watches in a row. */
const MOST = 200;

/** One stop of a reel: a snap, or a man on one, and what is said of it. */
export interface Stop {
  readonly snapId: number;
  readonly number: number;
  readonly week: number | null;
  readonly blocker: string | null;
  /** Who it was, or which play. */
  readonly who: string;
  readonly says: string;
}

/** Snaps behind a number of the Book, or those on which two graders differ, watched one after the other over as many games as they are from. */
export function useReel() {
  const playbook = usePlaybook();
  const words = ref('');
  const snaps = shallowRef<readonly Stop[]>([]);
  const at = ref(0);
  const problem = ref('');
  const attempt = attempting(problem);
  const current = computed<Stop | null>(() => snaps.value[at.value] ?? null);
  const say = (grade: Grade): string =>
    [sayMarks(grade), sayBeside(grade, playbook.program.faults)].filter(Boolean).join('; ');

  /** Takes up the reel an address names, at the snap that is shown; no words, no reel. */
  async function open(reel: string, snapId: number | null): Promise<void> {
    if (reel !== words.value) {
      words.value = reel;
      snaps.value = [];
      if (!reel) return;
      await attempt(async () => {
        const query = queryOf(reel);
        const found = query.apart === undefined ? await behind(query) : await apart(String(query.apart));
        if (words.value === reel) snaps.value = found;
      });
    }
    const shown = snaps.value.findIndex((s) => s.snapId === snapId);
    if (current.value?.snapId !== snapId && shown >= 0) at.value = shown;
  }

  async function behind(query: Record<string, string | string[]>): Promise<Stop[]> {
    const plays = PLAY_COUNT_IDS.find((c) => c === query.plays);
    if (plays) return behindPlays(query, plays);
    const measure = MEASURE_IDS.find((m) => m === query.measure) ?? ('both' as Measure);
    const found = await readSnaps(filterOfQuery(query), measure, 0, MOST);
    return found.snaps.map(({ snapId, number, week, blocker, man, grade }) => ({
      ...{ snapId, number, week, blocker },
      ...{ who: `${man} at ${blocker}`, says: say(grade) },
    }));
  }

  async function behindPlays(query: Record<string, string | string[]>, count: PlayCount): Promise<Stop[]> {
    const found = await readPlays(filterOfQuery(query), count, 0, MOST);
    return found.plays.map((p) => ({
      ...{ snapId: p.snapId, number: p.number, week: p.week, blocker: null },
      ...{ who: `${schemeName(p.scheme)} ${p.side}`, says: sayPlay(p) },
    }));
  }

  /** `apart`: the game and the user whose reading stands beside the grades. */
  async function apart(of: string): Promise<Stop[]> {
    const [game, user] = of.split('-');
    const marks = await request<unknown[]>(`/api/games/${game}/agreement?user=${user}`);
    return disagreements(marks.map((m) => TwoMarksSchema.parse(m))).map((m) => ({
      ...{ snapId: m.snapId, number: m.number, week: null, blocker: m.blocker },
      who: `${m.man} at ${m.blocker}`,
      says: `${say(m.one)}, or ${say(m.other)}`,
    }));
  }

  /** The snap so many on, or `null` past an end; two men of one snap are two steps. */
  function step(by: number): Stop | null {
    const next = snaps.value[at.value + by] ?? null;
    if (next) at.value += by;
    return next;
  }
  return { words, snaps, at, current, problem, open, step };
}

/** The words of an address; said more than once they are a list. */
function queryOf(words: string): Record<string, string | string[]> {
  const query: Record<string, string | string[]> = {};
  for (const [key, value] of new URLSearchParams(words)) {
    const there = query[key];
    query[key] = there === undefined ? value : [there, value].flat();
  }
  return query;
}
