import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import * as z from 'zod';
import { FilmKindSchema, FilmStateSchema } from '#core/model/film';
import { RepMarkSchema, SCRIPT_KINDS, type RepMark, type Script, type ScriptKind } from '#core/model/script';
import { installOrder } from '#core/plan/install';
import { scriptName } from '#core/practice/script/make-script';
import { inOrder, joinFrom, noRep, notFilmed, type RepFilm } from '#core/practice/script/rep-film';
import { trustOf } from '#core/practice/script/series';
import { usePlan } from '~/features/plan/store';
import { shortName } from '~/features/playbook/keep';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { request } from '~/features/session/request';
import { useWeek } from '~/features/week/store';
import { useScriptWriter } from '~/workers/start';

const PracticeFilmSchema = z.object({
  id: z.int(),
  name: z.string(),
  kind: FilmKindSchema,
  state: FilmStateSchema,
  gameId: z.int().nullable(),
});

/** The week's scripts: made from the plan, run at practice, marked with a tap a rep. */
export const useScripts = defineStore('scripts', () => {
  const week = useWeek();
  const plan = usePlan();
  const playbook = usePlaybook();
  const writer = useScriptWriter();
  const problem = ref('');
  const attempt = attempting(problem);
  const turn = inTurn();

  const scripts = computed(() => week.bodies.scripts.scripts);
  const chosen = ref('');
  const script = computed<Script | null>(
    () => scripts.value.find((s) => s.id === chosen.value) ?? scripts.value[0] ?? null,
  );
  const put = (next: readonly Script[]): Promise<boolean> => week.change('scripts', { scripts: [...next] });

  /** Makes a script; it is there once it is worked out. */
  function make(kind: ScriptKind, reps: number): void {
    problem.value = '';
    let n = 1;
    while (scripts.value.some((s) => s.id === `${shortName(kind)}-${n}`)) n++;
    writer.ask({
      ...{ id: `${shortName(kind)}-${n}`, kind, reps, plan: plan.plan, standings: plan.standings },
      practised: { scripts: scripts.value, marks: marks.value },
      order: installOrder(plan.plan, plan.cells).map((s) => s.play),
      ...{ own: playbook.ownTexts, settings: playbook.settings, words: playbook.words },
    });
  }
  watch(writer.whole, ([made]) => {
    if (!made) return;
    if (made.script === null) {
      problem.value = 'Nothing of the plan belongs in such a script. Put such plays in first.';
      return;
    }
    chosen.value = made.script.id;
    void put([...scripts.value.filter((s) => s.id !== made.script!.id), made.script]);
  });
  /** Practice film that has come in for this week, else all there is; read when a script is looked at. */
  const films = shallowRef<readonly z.infer<typeof PracticeFilmSchema>[]>([]);
  const clips = computed(() => inOrder(films.value.map((f) => f.name)));
  const readFilms = (): Promise<boolean> =>
    attempt(async () => {
      const found = z.object({ films: z.array(PracticeFilmSchema) }).parse(await request('/api/films'));
      const practice = found.films.filter((f) => f.kind === 'practice' && f.state === 'ready');
      const ofThisWeek = practice.filter((f) => f.gameId === week.game?.id);
      films.value = ofThisWeek.length > 0 ? ofThisWeek : practice;
    });
  /** The film of a rep, where it is still there. */
  const filmOf = (rep: number) => films.value.find((f) => f.name === script.value?.film[rep]) ?? null;
  const setFilm = (film: RepFilm): Promise<boolean> => {
    const now = script.value!;
    return put(scripts.value.map((s) => (s.id === now.id ? { ...s, film: [...film] } : s)));
  };
  const joinFilm = (first: string): Promise<boolean> =>
    setFilm(joinFrom(clips.value, first, script.value!.reps.length));
  const repNotFilmed = (rep: number): Promise<boolean> => setFilm(notFilmed(script.value!.film, rep));
  const clipNoRep = (rep: number): Promise<boolean> => setFilm(noRep(script.value!.film, rep, clips.value));
  const partFilm = (): Promise<boolean> => setFilm([]);
  const drop = (id: string): Promise<boolean> => put(scripts.value.filter((s) => s.id !== id));

  /** What came of reps: as the week says it, and what was tapped since. */
  const marks = shallowRef<readonly RepMark[]>([]);
  watch(
    () => week.week,
    (found) => void (marks.value = found?.marks ?? []),
    { immediate: true },
  );
  const markOf = (id: string, rep: number): RepMark | null =>
    marks.value.find((m) => m.script === id && m.rep === rep) ?? null;

  /** One tap: good or not, and who missed; the same tap again takes it back. It stands at once, and is taken back where it cannot be kept. */
  async function mark(id: string, rep: number, next: Pick<RepMark, 'good' | 'missed'> | null): Promise<boolean> {
    const gameId = week.game!.id;
    const before = markOf(id, rep);
    const set = (one: RepMark | null): void => {
      marks.value = [...marks.value.filter((m) => m.script !== id || m.rep !== rep), ...(one ? [one] : [])];
    };
    set(next && { script: id, rep, ...next });
    const kept = await turn(() =>
      attempt(async () => {
        const body = { script: id, rep, mark: next };
        z.array(RepMarkSchema).parse(await request(`/api/weeks/${gameId}/reps`, { method: 'PUT', body }));
      }),
    );
    if (!kept) set(before);
    return kept;
  }

  /** What came of a script so far: good ones, and by whom it was missed. */
  const record = computed(() => {
    const of = marks.value.filter((m) => m.script === script.value?.id);
    const missed = new Map<string, number>();
    for (const m of of) for (const seat of m.missed) missed.set(seat, (missed.get(seat) ?? 0) + 1);
    return {
      good: of.filter((m) => m.good).length,
      of: of.length,
      missed: [...missed].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)),
    };
  });
  /** From the 3: how far each call can be trusted with a yard to go. */
  const trust = computed(() => (script.value?.kind === 'short yardage' ? trustOf(script.value, marks.value) : []));
  const nameOf = (s: Script): string => scriptName(s);
  const kinds = SCRIPT_KINDS;
  const { running } = writer;
  return {
    ...{ scripts, script, chosen, marks, record, trust, kinds, problem, running, clips },
    ...{ make, drop, mark, markOf, nameOf, readFilms, filmOf, joinFilm, repNotFilmed, clipNoRep, partFilm },
  };
});
