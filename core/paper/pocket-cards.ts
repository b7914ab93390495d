import type { Ways } from '../calls/resolve-call';
import { pocketCard, type PocketCard } from '../compare/pocket-card';
import { sharesOf, type PlannedLook, type WeekPlan } from '../model/week-plan';
import { callsOf } from '../plan/work-plan';
import { workOnce } from './work-once';

type Calls = Pick<WeekPlan, 'plays' | 'looks'>;

/** The look that comes most often, the first of those that come alike; `null` before there are looks. */
export function likeliestLook({ looks }: Pick<WeekPlan, 'looks'>): PlannedLook | null {
  const shares = sharesOf(looks);
  return looks[shares.indexOf(Math.max(...shares))] ?? null;
}

/** What a man carries in his pocket about one play of the week against the likeliest look; `null` when he has nobody in it or it cannot be lined up. */
export function cardOfPlay({ plays, looks }: Calls, play: number, seat: string, ways: Ways): PocketCard | null {
  const look = likeliestLook({ looks });
  if (!look || !plays[play]) return null;
  const { call } = callsOf({ plays: [plays[play]], looks: [look] })[0]!;
  const worked = workOnce(call, ways);
  if (!worked.ok) return null;
  const { scheme, formation, front } = worked.value;
  const { side, tags, overrides } = call;
  return pocketCard(
    { scheme, formation, front, call: { side, tags, overrides, settings: ways.settings, words: ways.words } },
    seat,
  );
}
