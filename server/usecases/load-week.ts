import { addDays, format, nextSaturday } from 'date-fns';
import { SHIPPED_PLAYBOOK } from '#core/calls/playbook';
import { SHIPPED_CALL_WORDS } from '#core/model/call-words';
import { PracticeWaysSchema, type PracticeDay } from '#core/model/practice';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { demandOf } from '#core/plan/demand';
import { NOTHING_PRACTISED } from '#core/plan/reps-so-far';
import { standingsOf } from '#core/plan/standing';
import { callsOf, workPlan, type PlanCell } from '#core/plan/work-plan';
import { practising } from '#core/practice/men';
import { makeScript } from '#core/practice/script/make-script';
import { planWeek } from '#core/practice/plan-week';
import { DEMO_DAYS, DEMO_PLAN, DEMO_PRACTICE, DEMO_REPS, NEXT_GAME, PRACTISED_WEEKS } from '#demo/week';
import { AttendanceRow, GameRow, PlayerRow, ProgramRow, RepMarkRow, WeekPartRow } from '../db/models';
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
