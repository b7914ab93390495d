import { atLeast, atMost, lessThan } from '../geometry/compare';
import { HEAD_UP, SHADE } from '../geometry/tolerances';
import { YARD } from '../geometry/units';
import { lineOf, type Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Movement } from '../model/movement';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import { levelOf } from './line';

/** What a league may ask of a defence. */
export type LeagueRules = Pick<
  Settings,
  'leagueLeastOnLine' | 'leagueMostOnLine' | 'leagueDepth' | 'leagueCentre' | 'leagueBlitz'
>;

/** Feet beside the end men of the line that still are the box for a rule of a league. */
const BESIDE = 6;
/** Movements by which somebody off the line comes in at the snap. */
const COMES: readonly Movement['kind'][] = ['blitz', 'edge', 'down'];

/** Whether the league asks anything at all. */
export const hasLeagueRules = (rules: LeagueRules): boolean =>
  rules.leagueLeastOnLine > SHIPPED_SETTINGS.leagueLeastOnLine ||
  rules.leagueMostOnLine < SHIPPED_SETTINGS.leagueMostOnLine ||
  rules.leagueDepth > SHIPPED_SETTINGS.leagueDepth ||
  rules.leagueCentre !== SHIPPED_SETTINGS.leagueCentre ||
  rules.leagueBlitz !== SHIPPED_SETTINGS.leagueBlitz;

/** What of a front the program's league forbids, as it entered that itself: a sentence each, none for a legal front. */
export function againstLeague(front: Front, formation: Formation, rules: LeagueRules): string[] {
  if (!hasLeagueRules(rules)) return [];
  const line = lineOf(formation);
  const first = front.defenders.filter((d) => levelOf(d) === 1);
  const found: string[] = [];
  if (first.length < rules.leagueLeastOnLine)
    found.push(`${first.length} stand on the line; your league asks for ${rules.leagueLeastOnLine}.`);
  if (first.length > rules.leagueMostOnLine)
    found.push(`${first.length} stand on the line; your league allows ${rules.leagueMostOnLine}.`);
  const [left, right] = [line[0]!.x - BESIDE, line.at(-1)!.x + BESIDE];
  const near = front.defenders.filter(
    (d) => levelOf(d) !== 1 && atLeast(d.x, left) && atMost(d.x, right) && lessThan(d.y, rules.leagueDepth * YARD),
  );
  for (const d of near)
    found.push(
      `${d.id} stands ${Math.round((10 * d.y) / YARD) / 10} yards off; your league asks for ${rules.leagueDepth}.`,
    );
  found.push(...overCentre(first, line.find((m) => m.id === 'C')!.x, rules));
  if (rules.leagueBlitz === 'forbidden')
    for (const m of front.movements)
      if (COMES.includes(m.kind) && 'who' in m && !first.some((d) => d.id === m.who))
        found.push(`${m.who} comes from off the line; your league forbids it.`);
  return found;
}

function overCentre(first: readonly { x: number }[], centre: number, { leagueCentre }: LeagueRules): string[] {
  const within = (feet: number): boolean => first.some((d) => atMost(Math.abs(d.x - centre), feet));
  if (leagueCentre === 'head-up' && !within(HEAD_UP))
    return ['Nobody is head-up on the centre; your league asks for it.'];
  if (leagueCentre === 'nobody' && within(SHADE)) return ['A man stands over the centre; your league forbids it.'];
  return [];
}

/** Whether a front may be played in the program's league. */
export const isLegal = (front: Front, formation: Formation, rules: LeagueRules): boolean =>
  againstLeague(front, formation, rules).length === 0;
