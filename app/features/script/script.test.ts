import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RepMark, Script, Scripts } from '#core/model/script';
import { writeScript, type ScriptAsked } from '#core/practice/script/script-job';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useWeek } from '~/features/week/store';
import { useScripts } from './store';

/** A worker that answers when the test says so. */
const asked: { id: number; job: ScriptAsked }[] = [];
let say: (answer: unknown) => void = () => undefined;
vi.mock('~/workers/start', async () => {
  const { useAsked } = await import('~/workers/asked');
  const silent = () => ({ onmessage: null, onerror: null, terminate: () => undefined, postMessage: () => undefined });
  return {
    usePlanning: () => useAsked(() => silent() as never),
    useScriptWriter: () =>
      useAsked(() => {
        const worker = {
          ...silent(),
          onmessage: null as ((event: { data: unknown }) => void) | null,
          postMessage: (question: { id: number; job: ScriptAsked }) => void asked.push(question),
        };
        say = (answer) => worker.onmessage?.({ data: answer });
        return worker as never;
      }),
  };
});
async function written(): Promise<void> {
  const { id, job } = asked.at(-1)!;
  say({ id, kind: 'part', found: [...writeScript(job)], done: 1 });
  say({ id, kind: 'end' });
  await nextTick();
}

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const rep = (scheme: string) => ({
  ...{ scheme, side: 'right' as const, tags: [], formation: 'LT LG C RG RT; H right; B left', formationName: 'H' },
  ...{ front: OVER, frontName: 'Over', bodies: ['T'], cones: [], why: 'likely' },
});
const script = (id: string, more: Partial<Script> = {}): Script => ({
  ...{ id, kind: 'inside run', reps: [rep('power'), rep('duo'), rep('power')], uncovered: [], film: [], resets: 2 },
  ...more,
});
const film = (id: number, name: string, more: object = {}) => ({
  ...{ id, name, kind: 'practice', state: 'ready', gameId: null },
  ...more,
});
let kept: Scripts;
let marks: RepMark[];
let films: object[];
let server: RoutesServer;
beforeEach(async () => {
  setActivePinia(createPinia());
  asked.length = 0;
  [kept, marks, films] = [{ scripts: [script('inside-run-1')] }, [], []];
  server = serveRoutes({
    'GET /api/schedule': () => ({
      seasons: [],
      games: [{ id: 6, week: 6, opponent: 'Quillport Terns', playedOn: null, snaps: 0, films: 0 }],
    }),
    'GET /api/weeks/6': () => ({
      game: { id: 6, opponent: 'Quillport Terns', week: 6, playedOn: null },
      plan: {
        ...{ revision: 1, by: '' },
        body: {
          plays: [{ ...rep('power'), times: 6 }].map(
            ({ bodies: _b, cones: _c, why: _w, front: _f, frontName: _n, ...p }) => p,
          ),
          looks: [{ front: OVER, frontName: 'Over', weight: 1, seen: '' }],
          quiz: false,
        },
      },
      ...{ practice: null, scripts: { revision: 1, by: '', body: kept }, marks, records: [], seen: [] },
    }),
    'PUT /api/weeks/6/scripts': ({ revision, body }: { revision: number; body: Scripts }) => {
      kept = body;
      return { revision: revision + 1 };
    },
    'PUT /api/weeks/6/reps': ({ script: id, rep: at, mark }: { script: string; rep: number; mark: RepMark | null }) => {
      marks = [
        ...marks.filter((m) => m.script !== id || m.rep !== at),
        ...(mark ? [{ ...mark, script: id, rep: at }] : []),
      ];
      return marks;
    },
    'GET /api/films': () => ({ films, free: 1, folder: '' }),
  });
  await useWeek().open(6);
});
afterEach(() => vi.unstubAllGlobals());

describe('a script', () => {
  it('is made from the plan, named after those there are, shown and kept', async () => {
    const scripts = useScripts();
    scripts.make('inside run', 4);
    expect(asked.at(-1)!.job.id).toBe('inside-run-2');
    await written();
    await expect.poll(() => kept.scripts.map((s) => s.id)).toEqual(['inside-run-1', 'inside-run-2']);
    expect(scripts.script).toMatchObject({ id: 'inside-run-2', film: [] });
    await scripts.drop('inside-run-2');
    expect(kept.scripts.map((s) => s.id)).toEqual(['inside-run-1']);
  });

  it('says so when nothing of the plan belongs in it', async () => {
    const scripts = useScripts();
    scripts.make('pick-up', 4);
    await written();
    expect(scripts.problem).toBe('Nothing of the plan belongs in such a script. Put such plays in first.');
    expect(kept.scripts).toHaveLength(1);
  });
});

describe('taps on a rep', () => {
  it('stand at once, arrive in their order on a slow line, and count by man', async () => {
    const scripts = useScripts();
    server.slow();
    const taps = [
      scripts.mark('inside-run-1', 0, { good: true, missed: [] }),
      scripts.mark('inside-run-1', 1, { good: false, missed: [] }),
      scripts.mark('inside-run-1', 1, { good: false, missed: ['LT'] }),
    ];
    expect(scripts.record).toEqual({ good: 1, of: 2, missed: [['LT', 1]] });
    const sent = (): number => server.asked.filter((a) => a.what.endsWith('/reps')).length;
    await expect.poll(() => sent()).toBe(1);
    server.answer();
    expect(await Promise.all(taps)).toEqual([true, true, true]);
    expect(marks).toMatchObject([
      { rep: 0, good: true },
      { rep: 1, missed: ['LT'] },
    ]);
  });

  it('are taken back where they could not be kept', async () => {
    const scripts = useScripts();
    await scripts.mark('inside-run-1', 0, { good: true, missed: [] });
    server.down();
    expect(await scripts.mark('inside-run-1', 0, { good: false, missed: ['C'] })).toBe(false);
    expect([scripts.markOf('inside-run-1', 0)!.good, scripts.problem === '']).toEqual([true, false]);
  });
});

describe('practice film', () => {
  it('joins the reps in order from the clip that shows the first one; only what can be played does', async () => {
    films = [film(3, 'clip 10'), film(1, 'clip 2'), film(2, 'clip 3'), film(4, 'clip 1', { state: 'working' })];
    films.push(film(5, 'game', { kind: 'own game' }));
    const scripts = useScripts();
    await scripts.readFilms();
    expect(scripts.clips).toEqual(['clip 2', 'clip 3', 'clip 10']);
    expect(scripts.filmOf(0)).toBeNull();
    await scripts.joinFilm('clip 2');
    expect(kept.scripts[0]!.film).toEqual(['clip 2', 'clip 3', 'clip 10']);
    expect([0, 1, 2].map((at) => scripts.filmOf(at)!.id)).toEqual([1, 2, 3]);
  });

  it('is put right rep by rep, and taken off again', async () => {
    films = ['clip 1', 'clip 2', 'clip 3', 'clip 4'].map((name, i) => film(i + 1, name));
    const scripts = useScripts();
    await scripts.readFilms();
    await scripts.joinFilm('clip 1');
    await scripts.repNotFilmed(1);
    expect(kept.scripts[0]!.film).toEqual(['clip 1', null, 'clip 2']);
    await scripts.clipNoRep(0);
    expect(kept.scripts[0]!.film).toEqual([null, 'clip 2', 'clip 3']);
    await scripts.partFilm();
    expect(kept.scripts[0]!.film).toEqual([]);
  });

  it('of this week comes before film of other weeks, and a clip that was deleted shows nothing', async () => {
    films = [film(1, 'clip 1', { gameId: 5 }), film(2, 'clip 2', { gameId: 6 })];
    const scripts = useScripts();
    await scripts.readFilms();
    expect(scripts.clips).toEqual(['clip 2']);
    await scripts.joinFilm('clip 2');
    films = [film(1, 'clip 1', { gameId: 5 })];
    await scripts.readFilms();
    expect([scripts.clips, scripts.filmOf(0)]).toEqual([['clip 1'], null]);
  });
});
