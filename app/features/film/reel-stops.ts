import { disagreements, TwoMarksSchema } from '#core/grade/agreement/agreement';
import { filterOfQuery } from '#core/grade/book/dimensions';
import { MEASURE_IDS, type Measure } from '#core/grade/book/measures';
import { PLAY_COUNT_IDS, sayPlay, type PlayCount } from '#core/grade/book/play-result';
import { sayBeside, sayMarks } from '#core/grade/say-grade';
import type { OwnFault } from '#core/model/faults';
import type { Grade } from '#core/model/grade';
import { readPlays, readSnaps } from '~/features/book/store';
import { schemeName } from '~/features/board/scheme-names';
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

type Query = Record<string, string | string[]>;
type Say = (grade: Grade) => string;

/** The stops of the reel an address names: what stands behind a number of the Book, or where two graders differ. */
export function stopsOf(reel: string, faults: readonly OwnFault[] | undefined): Promise<Stop[]> {
  const query = queryOf(reel);
  const say: Say = (grade) => [sayMarks(grade), sayBeside(grade, faults)].filter(Boolean).join('; ');
  return query.apart === undefined ? behind(query, say) : apart(String(query.apart), say);
}

async function behind(query: Query, say: Say): Promise<Stop[]> {
  const plays = PLAY_COUNT_IDS.find((c) => c === query.plays);
  if (plays) return behindPlays(query, plays);
  const measure = MEASURE_IDS.find((m) => m === query.measure) ?? ('both' as Measure);
  const found = await readSnaps(filterOfQuery(query), measure, 0, MOST);
  return found.snaps.map(({ snapId, number, week, blocker, man, grade }) => ({
    ...{ snapId, number, week, blocker },
    ...{ who: `${man} at ${blocker}`, says: say(grade) },
  }));
}

async function behindPlays(query: Query, count: PlayCount): Promise<Stop[]> {
  const found = await readPlays(filterOfQuery(query), count, 0, MOST);
  return found.plays.map((p) => ({
    ...{ snapId: p.snapId, number: p.number, week: p.week, blocker: null },
    ...{ who: `${schemeName(p.scheme)} ${p.side}`, says: sayPlay(p) },
  }));
}

/** `apart`: the game and the user whose reading stands beside the grades. */
async function apart(of: string, say: Say): Promise<Stop[]> {
  const [game, user] = of.split('-');
  const marks = await request<unknown[]>(`/api/games/${game}/agreement?user=${user}`);
  return disagreements(marks.map((m) => TwoMarksSchema.parse(m))).map((m) => ({
    ...{ snapId: m.snapId, number: m.number, week: null, blocker: m.blocker },
    who: `${m.man} at ${m.blocker}`,
    says: `${say(m.one)}, or ${say(m.other)}`,
  }));
}

/** The words of an address; said more than once they are a list. */
function queryOf(words: string): Query {
  const query: Query = {};
  for (const [key, value] of new URLSearchParams(words)) {
    const there = query[key];
    query[key] = there === undefined ? value : [there, value].flat();
  }
  return query;
}
