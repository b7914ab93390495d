import { randomUUID } from 'node:crypto';
import { addDays, format, nextSaturday, subDays } from 'date-fns';
import { SHIPPED_PLAYBOOK } from '#core/calls/playbook';
import { workCall } from '#core/calls/resolve-call';
import { SHIPPED_CALL_WORDS } from '#core/model/call-words';
import { LINE_SEATS } from '#core/model/formation';
import { PracticeWaysSchema, type PracticeDay } from '#core/model/practice';
import { keyOfItem } from '#core/model/quiz';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { demandOf } from '#core/plan/demand';
import { NOTHING_PRACTISED } from '#core/plan/reps-so-far';
import { standingsOf } from '#core/plan/standing';
import { callsOf, workPlan, type PlanCell } from '#core/plan/work-plan';
import { practising } from '#core/practice/men';
import { makeScript } from '#core/practice/script/make-script';
import { planWeek } from '#core/practice/plan-week';
import { itemsOf, type Asked } from '#core/quiz/items';
import { expectedOf } from '#core/quiz/question';
import { placesOf } from '#core/roster/player';
import { answersOf } from '#demo/quiz';
import { DEMO_ACCOUNTS } from '#demo/scenario';
import { DEMO_DAYS, DEMO_PLAN, DEMO_PRACTICE, DEMO_REPS, NEXT_GAME, PRACTISED_WEEKS } from '#demo/week';
import { AttendanceRow, GameRow, PlayerRow, ProgramRow, QuizAnswerRow, RepMarkRow, WeekPartRow } from '../db/models';
import type { Member } from '../session/member';
import { readWeek } from './weeks';
import { newestSeason } from './seasons';

/** Puts the demo's week into the database, half done: a plan, one day of practice planned, the others not yet; two men are away. */
export async function loadWeek(member: Member): Promise<void> {
  const { programId, userId } = member;
  const season = await newestSeason(member);
  const saturday = nextSaturday(new Date());
  const dayBefore = (n: number): string => format(addDays(saturday, -n), 'yyyy-MM-dd');
  const game = await GameRow.create({
    ...{ programId, seasonId: season.id, published: false, ...NEXT_GAME },
    playedOn: dayBefore(0),
  });
  const ways = PracticeWaysSchema.parse(DEMO_PRACTICE);
  const program = (await ProgramRow.findByPk(programId))!;
  await program.update({ body: { ...program.body, practice: ways } });
  await WeekPartRow.create({ programId, gameId: game.id, part: 'plan', revision: 1, body: DEMO_PLAN, userId });

  const days = DEMO_DAYS.map(({ before, ...day }): PracticeDay => ({ ...day, day: dayBefore(before), lines: [] }));
  const players = await PlayerRow.findAll({ where: { programId } });
  const absent = players.filter((p) => AWAY.includes(p.number)).map((p) => p.id);
  const first = days[0]!.day;
  await AttendanceRow.bulkCreate(
    absent.map((playerId) => ({ programId, playerId, day: first, here: 'away', note: 'works until eight' })),
  );
  const men = players.map((p) =>
    practising(
      { id: p.id, seat: p.seat, seats: p.seats, weight: p.weight ?? null },
      absent.includes(p.id) ? 'away' : 'here',
    ),
  );
  const { records } = await readWeek(member, game.id);
  const standings = standingsOf(
    demandOf(DEMO_PLAN, cellsOfPlan()),
    records,
    (seat) => players.find((p) => p.seat === seat)?.id ?? null,
  );
  const plan = (of: readonly PracticeDay[]) =>
    planWeek({
      ...{ days: of, men: () => men, standings, theirs: new Set(['twist', 'slant'] as const), ways },
      ...{ drills: SHIPPED_PLAYBOOK.drills(), level: SHIPPED_SETTINGS.levelOfPlay },
    });
  const planned = plan(days);
  const body = { days: planned.days.map((d, i) => (i === 0 ? d : { ...d, lines: [] })) };
  await WeekPartRow.create({ programId, gameId: game.id, part: 'practice', revision: 1, body, userId });

  // The weeks before were practised too: what became of their faults can be followed.
  for (const { before, week } of PRACTISED_WEEKS) {
    const played = await GameRow.findOne({ where: { programId, seasonId: season.id, week } });
    if (!played) continue;
    const past = DEMO_DAYS.map((day): PracticeDay => {
      const { before: daysBefore, ...of } = day;
      return { ...of, day: dayBefore(7 * before + daysBefore), lines: [] };
    });
    const body = { days: plan(past).days };
    await WeekPartRow.create({ programId, gameId: played.id, part: 'practice', revision: 1, body, userId });
  }

  const script = makeScript({
    ...{ id: 'inside-run-1', kind: 'inside run', reps: 12, plan: DEMO_PLAN, standings },
    ways: { playbook: SHIPPED_PLAYBOOK },
    sayPlay: (at) => SHIPPED_PLAYBOOK.name('schemes', DEMO_PLAN.plays[at]!.scheme),
    practised: NOTHING_PRACTISED,
    order: [],
  })!;
  const scripts = { scripts: [script] };
  await WeekPartRow.create({ programId, gameId: game.id, part: 'scripts', revision: 1, body: scripts, userId });
  await RepMarkRow.bulkCreate(
    DEMO_REPS.map((mark) => ({
      programId,
      gameId: game.id,
      script: script.id,
      userId,
      ...mark,
      missed: [...mark.missed],
    })),
  );
  await loadAnswers(programId, game.id, players);
}

/** What his men have answered on their phones; who has a log-in of his own in the demo answers for himself. */
async function loadAnswers(programId: number, gameId: number, players: readonly PlayerRow[]): Promise<void> {
  const ways = { playbook: SHIPPED_PLAYBOOK };
  const items = itemsOf(DEMO_PLAN, LINE_SEATS, ways);
  const expected = ({ item, call }: Asked) => {
    const worked = workCall(call, ways);
    return worked.ok ? expectedOf(worked.value.resolution, item.seat) : null;
  };
  const own: number[] = DEMO_ACCOUNTS.flatMap((a) => (a.number === null ? [] : [a.number]));
  const evening = subDays(new Date(), 1);
  const bodies = players
    .filter((p) => !own.includes(p.number))
    .flatMap((p) =>
      answersOf(p.number, placesOf(p), items, expected, evening).map((body) => ({ body, playerId: p.id })),
    );
  await QuizAnswerRow.bulkCreate(
    bodies.map(({ body, playerId }) => {
      const id = randomUUID();
      const itemKey = keyOfItem(body.item);
      return {
        ...{ answer: id, programId, gameId, playerId, body: { ...body, id }, itemKey },
        answeredAt: new Date(body.at),
      };
    }),
  );
}

/** Who has written that he is not there on the first day, by his number. */
const AWAY: readonly number[] = [77, 69];

/** Who does what in every play of the plan; what a lost block costs is worked out where the plan is looked at. */
function cellsOfPlan(): PlanCell[] {
  const calls = callsOf(DEMO_PLAN);
  const job = { own: [], settings: SHIPPED_SETTINGS, words: SHIPPED_CALL_WORDS, calls: calls.map((c) => c.call) };
  const cells: PlanCell[] = [];
  for (const answer of workPlan(job)) {
    if (answer.kind === 'losses') break;
    if (answer.kind === 'cell') cells.push({ ...answer, ...calls[answer.call]!, losses: null });
  }
  return cells;
}
