import * as z from 'zod';
import { DaySchema } from '../model/day';

/** What there is to do, as counts: nothing here says anything of a single man. */
export const WeekCountsSchema = z.object({
  men: z.int(),
  games: z.int(),
  /** Games of the season with snaps nobody has marked yet, or that are marked and not open to the players. */
  graded: z.array(
    z.object({
      gameId: z.int(),
      opponent: z.string(),
      week: z.int(),
      snaps: z.int(),
      ungraded: z.int(),
      published: z.boolean(),
      /** The first of those nobody has marked. */
      nextSnap: z.int().nullable(),
    }),
  ),
  /** Games that are over by their day and have no snap. */
  unlogged: z.array(z.object({ gameId: z.int(), opponent: z.string(), week: z.int() })),
  /** What players have asked and nobody has answered. */
  questions: z.int(),
  /** Questions about rules that were filed while grading. */
  ruleQuestions: z.int(),
  /** Films that came in and are nobody's snap yet, and those being prepared. */
  looseFilms: z.int(),
  /** The week that is on. */
  next: z
    .object({
      gameId: z.int(),
      opponent: z.string(),
      week: z.int(),
      playedOn: DaySchema.nullable(),
      plays: z.int(),
      looks: z.int(),
      days: z.array(z.object({ day: DaySchema, lines: z.int() })),
    })
    .nullable(),
});
export type WeekCounts = z.infer<typeof WeekCountsSchema>;

/** One thing the week asks for, with where it is done. */
export interface Ask {
  readonly id: string;
  readonly says: string;
  /** An address in the application. */
  readonly to: string;
  /** What is done about it, on the way there. */
  readonly act: string;
}

const some = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;

/** What the week asks now, in the order in which it holds the next thing up. `today` is a day such as 2026-11-27. */
export function asksOf(counts: WeekCounts, today: string): Ask[] {
  const { next } = counts;
  const asks: (Ask | null)[] = [
    counts.men === 0
      ? { id: 'men', says: 'Nobody is on the roster.', to: '/team/roster', act: 'Write the men down' }
      : null,
    counts.games === 0
      ? { id: 'games', says: 'No game is in the schedule.', to: '/team/season', act: 'Write down whom you play' }
      : null,
    ...counts.unlogged.map((g): Ask => ({
      id: `log ${g.gameId}`,
      says: `Week ${g.week}, ${g.opponent}: played, and no snap is logged.`,
      to: `/film/log/${g.gameId}`,
      act: 'Log it',
    })),
    counts.looseFilms > 0
      ? {
          id: 'films',
          says: `${some(counts.looseFilms, 'film')} belong to no snap yet.`.replace('1 film belong', '1 film belongs'),
          to: '/film/in',
          act: counts.looseFilms === 1 ? 'Put it in' : 'Put them in',
        }
      : null,
    ...counts.graded
      .filter((g) => g.ungraded > 0)
      .map((g): Ask => ({
        id: `grade ${g.gameId}`,
        says: `Week ${g.week}, ${g.opponent}: ${g.ungraded} of ${some(g.snaps, 'snap')} without a mark.`,
        to: g.nextSnap === null ? '/film' : `/film/${g.nextSnap}`,
        act: 'Go on grading',
      })),
    ...counts.graded
      .filter((g) => g.ungraded === 0 && !g.published)
      .map((g): Ask => ({
        id: `publish ${g.gameId}`,
        says: `Week ${g.week}, ${g.opponent}: graded, and its players cannot see it.`,
        to: '/book/grading',
        act: 'Open it to them',
      })),
    counts.questions > 0
      ? {
          id: 'questions',
          says: `${some(counts.questions, 'player’s question', 'questions of players')} unanswered.`,
          to: '/book/grading',
          act: 'Answer',
        }
      : null,
    counts.ruleQuestions > 0
      ? {
          id: 'rules',
          says: `${some(counts.ruleQuestions, 'question')} about rules from grading.`,
          to: '/book/grading',
          act: 'Settle',
        }
      : null,
    next ? planAsk(next) : null,
    next ? practiceAsk(next, today) : null,
  ];
  return asks.filter((a) => a !== null);
}

type Next = NonNullable<WeekCounts['next']>;

function planAsk({ gameId, opponent, plays, looks }: Next): Ask | null {
  const to = `/week/plan?game=${gameId}`;
  if (plays === 0) return { id: 'plan', says: `No play is chosen for the ${opponent}.`, to, act: 'Choose plays' };
  if (looks === 0) return { id: 'looks', says: `Nobody has said what the ${opponent} show.`, to, act: 'Choose looks' };
  return null;
}

function practiceAsk({ gameId, days }: Next, today: string): Ask | null {
  const to = `/week/practice?game=${gameId}`;
  if (days.length === 0)
    return { id: 'practice', says: 'No day of practice is in the week.', to, act: 'Say when you practise' };
  const open = days.filter((d) => d.lines === 0 && d.day >= today);
  if (open.length === 0) return null;
  return {
    id: 'practice',
    says: `${some(open.length, 'day')} of practice not planned yet.`,
    to,
    act: 'Plan them',
  };
}
