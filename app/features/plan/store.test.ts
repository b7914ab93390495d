import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { WeekPlan } from '#core/model/week-plan';
import { workPlan, type PlanJob } from '#core/plan/work-plan';
import { serveRoutes } from '~/testing/routes';
import { useRoster } from '~/features/roster/store';
import { useWeek } from '~/features/week/store';
import { usePlan } from './store';

/** A worker that answers when the test says so. */
const asked: PlanJob[] = [];
let say: (answer: unknown) => void = () => undefined;
let id = 0;
vi.mock('~/workers/start', async () => {
  const { useAsked } = await import('~/workers/asked');
  return {
    usePlanning: () =>
      useAsked(() => {
        const worker = {
          onmessage: null as ((event: { data: unknown }) => void) | null,
          onerror: null,
          terminate: () => undefined,
          postMessage: (question: { id: number; job: PlanJob }) => {
            asked.push(question.job);
            id = question.id;
          },
        };
        say = (answer) => worker.onmessage?.({ data: answer });
        return worker as never;
      }),
  };
});
/** Works out what was asked last and says it, all or so many parts of it. */
async function answer(most = Infinity): Promise<void> {
  const found = [...workPlan(asked.at(-1)!)].slice(0, most);
  say({ id, kind: 'part', found, done: found.length });
  if (most === Infinity) say({ id, kind: 'end' });
  await nextTick();
}

const play = (scheme: string, times: number) => ({
  ...{
    scheme,
    side: 'right' as const,
    tags: [],
    formation: 'LT LG C RG RT; H right; B left',
    formationName: 'H',
    times,
  },
});
const look = (frontName: string, weight: number, front = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right') => ({
  ...{ front, frontName, weight, seen: '' },
});
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
let kept: WeekPlan;
beforeEach(async () => {
  setActivePinia(createPinia());
  asked.length = 0;
  kept = { plays: [play('power', 6)], looks: [look('Odd', 3)], quiz: false };
  serveRoutes({
    'GET /api/schedule': () => ({
      seasons: [],
      games: [{ id: 6, week: 6, opponent: 'Quillport Terns', playedOn: null, snaps: 0, films: 0 }],
    }),
    'GET /api/roster': () => [
      { id: 4, number: 61, name: 'Anselm Rook', seat: 'RG', seats: [], defence: '', weight: null, left: false },
    ],
    'GET /api/weeks/6': () => ({
      game: { id: 6, opponent: 'Quillport Terns', week: 6, playedOn: null },
      ...{ plan: { revision: 1, by: '', body: kept }, practice: null, scripts: null, marks: [] },
      records: [{ playerId: 4, block: 'double', good: 3, of: 9, faults: [] }],
      seen: [
        { front: OVER, frontName: 'Over', snaps: 24, weeks: [2] },
        { front: look('Odd', 1).front, frontName: 'Odd', snaps: 11, weeks: [2] },
      ],
    }),
    'PUT /api/weeks/6/plan': ({ revision, body }: { revision: number; body: WeekPlan }) => {
      kept = body;
      return { revision: revision + 1 };
    },
  });
  await useRoster().open();
  await useWeek().open(6);
  usePlan();
  await nextTick();
});
afterEach(() => vi.unstubAllGlobals());

describe('a plan on the screen', () => {
  it('asks for every play against every look, and says what came as it comes', async () => {
    const plan = usePlan();
    expect(asked.map((j) => j.calls.length)).toEqual([1]);
    expect([plan.cell(0, 0).answer, plan.men]).toEqual([null, []]);
    expect(plan.isWorked).toBe(false);
    await answer(1);
    expect(plan.isWorked).toBe(true);
    expect(plan.cell(0, 0).answer).toMatchObject({ verdict: 'sound' });
    expect(plan.cell(0, 0).hangsOn).toBeNull();
    await answer();
    expect(plan.cell(0, 0).hangsOn).not.toBeNull();
    const rook = plan.men.find((m) => m.seat === 'RG')!;
    expect([rook.player?.name, rook.number?.record]).toEqual(['Anselm Rook', expect.objectContaining({ playerId: 4 })]);
    expect(plan.men.find((m) => m.seat === 'LT')).toMatchObject({ player: null, number: null });
    expect(plan.men.map((m) => m.seat)).toEqual(['LT', 'LG', 'C', 'RG', 'RT', 'H']);
  });

  it('knows on whom most of it hangs, the dearest first, and leaves out who is nobody', async () => {
    const plan = usePlan();
    const roster = useRoster();
    const [rook] = roster.players;
    await answer();
    expect(plan.dearest.map((m) => m.player.name)).toEqual(['Anselm Rook']);
    roster.players = ['LT', 'C', 'H'].map((seat, i) => ({ ...rook!, id: 10 + i, number: 70 + i, name: seat, seat }));
    await nextTick();
    const weights = plan.dearest.map((m) => m.number.weight);
    expect(plan.dearest.map((m) => m.seat).sort()).toEqual(['C', 'H', 'LT']);
    expect(weights).toEqual([...weights].sort((a, b) => b - a));
    expect(new Set(weights).size).toBeGreaterThan(1);
    expect(plan.dearest.map((m) => m.seat)).not.toEqual(
      plan.men.map((m) => m.seat).filter((s) => 'LT C H'.includes(s)),
    );
  });

  it('asks only for what it does not know: another play for its own looks, another count for nothing', async () => {
    const plan = usePlan();
    await answer();
    await plan.changePlay(0, { times: 9 });
    await plan.changeLook(0, { weight: 50 });
    await nextTick();
    expect(asked).toHaveLength(1);
    await plan.addPlay(play('duo', 4));
    await nextTick();
    expect(asked.at(-1)!.calls.map((c) => c.scheme)).toEqual(['duo']);
    await answer();
    await plan.addLook(look('Over', 24, OVER));
    await nextTick();
    expect(asked.at(-1)!.calls.map((c) => `${c.scheme} ${c.frontName}`)).toEqual(['power Over', 'duo Over']);
    await answer();
    expect(plan.cells).toHaveLength(4);
    await plan.dropPlay(0);
    await nextTick();
    expect([asked.length, plan.cells.map((c) => [c.play, c.look])]).toEqual([
      3,
      [
        [0, 0],
        [0, 1],
      ],
    ]);
    expect(kept).toMatchObject({ plays: [{ scheme: 'duo' }], looks: [{ weight: 50 }, { weight: 24 }] });
  });

  it('knows whoever of theirs is on a look, keeps what is said of him and forgets what is taken back', async () => {
    const plan = usePlan();
    expect(plan.theirs.map((m) => [m.id, m.number])).toEqual(['LE', 'W', 'N', 'M', 'RE'].map((id) => [id, null]));
    await plan.changeTheirs({ id: 'N', number: 98, note: '' });
    await plan.changeTheirs({ id: 'M', number: null, note: 'walks up' });
    expect(plan.theirs.filter((m) => m.number !== null || m.note)).toEqual([
      { id: 'N', number: 98, note: '' },
      { id: 'M', number: null, note: 'walks up' },
    ]);
    await plan.changeTheirs({ id: 'N', number: null, note: '' });
    expect(kept.theirs).toEqual([{ id: 'M', number: null, note: 'walks up' }]);
  });

  it('works everything out anew once texts or limits are others', async () => {
    const plan = usePlan();
    await answer();
    const { usePlaybook } = await import('~/features/playbook/store');
    usePlaybook().program = { settings: { ...usePlaybook().settings, standardYards: 6 } };
    await nextTick();
    expect(asked).toHaveLength(2);
    expect(plan.cells).toEqual([]);
  });

  it('says which play cannot be lined up, and why', async () => {
    const plan = usePlan();
    await answer();
    await plan.addPlay(play('no-such-play', 2));
    await nextTick();
    await answer();
    expect(plan.cell(1, 0)).toMatchObject({ answer: null, gap: expect.stringContaining('no-such-play') });
    expect(plan.gaps).toHaveLength(1);
    expect(plan.sound).toEqual([1, null]);
  });

  it('offers what they have shown that is not in it yet, and opens the quiz without touching the rest', async () => {
    const plan = usePlan();
    expect(plan.unused.map((s) => s.frontName)).toEqual(['Over']);
    await plan.openQuiz(true);
    expect(kept).toMatchObject({ quiz: true, plays: [{ scheme: 'power' }] });
    await plan.addPlay(play('duo', 1));
    expect(kept.quiz).toBe(true);
  });
});
