import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { FRAME_OF, type Moment } from '#core/film/frames';
import { proposedOf, takeProposal } from '#core/grade/propose/take';
import type { Proposal } from '#core/model/proposal';
import { changedGrade, doneGrade, SHIPPED_RUBRIC } from '#core/grade/rubrics/index';
import { PairMarkSchema, type Grade, type PairMark } from '#core/model/grade';
import type { Sheet } from '#core/model/grade-entry';
import { latestGame, type GameItem, type SnapItem } from '#core/model/game';
import type { SnapView } from '#core/model/snap-view';
import type { Call, ClipBody, Situation } from '#core/model/snap';
import { onlyNewest } from '~/features/session/newest';
import { readOnce, request, RequestProblem } from '~/features/session/request';
import { attempting } from '~/features/session/attempt';
import { atRest } from '~/features/session/at-rest';
import { useSession } from '~/features/session/store';
import { isInCut, type Cut } from '#core/film/log/cut';
import { useMarks, type MarkedSnap } from '~/features/marks/store';

/** A snap that would be worked out otherwise today. */
export interface ChangedItem {
  id: number;
  number: number;
  men: string[];
  why: string | null;
}

/** What marks of one snap were before they were changed together. */
interface Step {
  readonly snapId: number;
  readonly sheet: Sheet;
  readonly before: readonly { readonly blocker: string; readonly grade: Grade | null }[];
}
/** So many steps back. */
const MOST_STEPS = 100;

/** Film of one game and the marks on it; the marks are kept and sent by their own store. */
export const useFilm = defineStore('film', () => {
  const session = useSession();
  const games = shallowRef<GameItem[]>([]);
  const game = ref<number | null>(null);
  const snaps = shallowRef<SnapItem[]>([]);
  const changed = shallowRef<ChangedItem[]>([]);
  const changedProblem = ref('');
  /** Which of them are looked at; those that are stand in `inCut`. */
  const cut = shallowRef<Cut>({});
  const inCut = computed(() => snaps.value.filter((s) => isInCut(cut.value, s)));
  const snap = shallowRef<SnapView | null>(null);
  const box = useMarks();
  const marks = shallowRef<Record<string, Grade>>({});
  /** The revision of each mark as it was seen here last. */
  let revisions: Record<string, number> = {};
  /** Whose marks are given and shown: the program's, or a reading of one's own beside them. */
  const sheet = ref<Sheet>('program');
  const steps = shallowRef<Step[]>([]);
  /** What the film makes of each man's block, where everybody was followed; never a grade. */
  const proposals = shallowRef<Readonly<Record<string, Proposal>>>({});
  const selected = ref<string | null>(null);
  const loadProblem = ref('');
  /** The snap that is being opened; what is pressed meanwhile is meant for it. */
  const opening = ref<number | null>(null);
  const asking = onlyNewest();
  const readOnly = computed(() => !session.staff);
  /** A player grades himself on a sheet of his own, where his coach wants it. */
  const gradesHimself = computed(() => readOnly.value && (snap.value?.ownGrades ?? false));
  /** Against whom the opponent plays, where it is a game of his: nobody is graded in it. */
  const theirs = computed(() => games.value.find((g) => g.id === (snap.value?.gameId ?? game.value))?.theirs ?? null);
  const mayMark = computed(() => theirs.value === null && (!readOnly.value || gradesHimself.value));
  /** Who is graded here; of a player who grades himself nobody else. */
  const men = computed(() => {
    if (theirs.value !== null) return [];
    const all = snap.value?.resolution.assignments.map((a) => a.blocker) ?? [];
    return gradesHimself.value ? all.filter((man) => snap.value!.field.some((f) => f.seat === man)) : all;
  });

  const attempt = attempting(loadProblem);

  /** Opens a snap, or the first one not yet graded. It is open once its list is there too, so that "next" has somewhere to go. */
  function open(id: number | null): Promise<boolean> {
    const isNewest = asking.begin();
    opening.value = id;
    return attempt(() => openAs(id, isNewest), isNewest).finally(() => {
      if (isNewest()) opening.value = null;
    });
  }
  /** What was asked for before something else leaves everything as it is, however late it comes. */
  async function openAs(id: number | null, isNewest: () => boolean): Promise<void> {
    /** The film is there as soon as its snap is; the list comes beside it. */
    const fetchAndShow = async (one: number): Promise<SnapView> => {
      const found = await fetchSnap(one);
      if (isNewest()) show(found);
      return found;
    };
    if (!session.staff) return void (id === null || (await fetchAndShow(id)));
    const isFirst = games.value.length === 0;
    const [found] = await Promise.all([id === null ? null : fetchAndShow(id), isFirst ? readGames() : null]);
    // One that was made since.
    if (found && !isFirst && !games.value.some((g) => g.id === found.gameId)) await readGames();
    const wanted = found?.gameId ?? game.value ?? latestGame(games.value)?.id ?? null;
    if (wanted === null || !isNewest()) return;
    // Snaps may have been logged since the list was asked for.
    const isKnown = game.value === wanted && (!found || snaps.value.some((s) => s.id === found.id));
    const isNewList = !isKnown || snaps.value.length === 0;
    if (isNewList) {
      const list = await readOnce<SnapItem[]>(`/api/games/${wanted}/snaps`);
      if (!isNewest()) return;
      setList(wanted, list);
    }
    const first = inCut.value.find((s) => gradedCount(s) < s.asked.length) ?? inCut.value[0] ?? snaps.value[0];
    if (!found && first) await fetchAndShow(first.id);
    else if (!found) snap.value = null;
    // Nothing waits for it, and it is much work: the film comes first.
    if (isNewList) void loadChanged(wanted);
  }

  const readGames = async (): Promise<void> => void (games.value = await readOnce<GameItem[]>('/api/games'));

  /** Opens another game, at the first snap that is not graded. */
  const openGame = (id: number): Promise<boolean> => {
    game.value = id;
    snaps.value = [];
    return open(null);
  };

  function setList(of: number, list: SnapItem[]): void {
    game.value = of;
    snaps.value = list;
    changed.value = [];
  }

  /** What would be worked out otherwise today: beside the film, which opens without it. */
  async function loadChanged(of: number): Promise<void> {
    changed.value = [];
    changedProblem.value = '';
    await atRest();
    if (game.value !== of) return;
    try {
      const found = await request<ChangedItem[]>(`/api/games/${of}/changed`);
      if (game.value === of) changed.value = found;
    } catch (problem) {
      if (!(problem instanceof RequestProblem)) throw problem;
      if (game.value === of) changedProblem.value = problem.message;
    }
  }

  async function fetchSnap(id: number): Promise<SnapView> {
    const [found] = await Promise.all([readOnce<SnapView>(`/api/snaps/${id}`), box.takenUp()]);
    return found;
  }

  function show(found: SnapView): void {
    if (snap.value?.id !== found.id) proposals.value = {};
    snap.value = found;
    if (readOnly.value) sheet.value = found.ownGrades ? 'own' : 'program';
    const kept = sheet.value === 'program' ? found.grades : found.own;
    marks.value = Object.fromEntries(kept.map((g) => [g.blocker, g.grade]));
    revisions = Object.fromEntries(kept.map((g) => [g.blocker, g.revision]));
    for (const { entry, aside } of box.waitingFor(found.id, sheet.value))
      if (!aside) setMark(entry.blocker, entry.grade);
    if (!found.resolution.assignments.some((a) => a.blocker === selected.value)) selected.value = null;
  }
  /** Looks at the other sheet of marks. */
  function turnTo(other: Sheet): void {
    sheet.value = other;
    if (snap.value) void open(snap.value.id);
  }
  watch(
    () => box.arrived,
    (at) => {
      if (at && at.snapId === snap.value?.id && at.sheet === sheet.value) revisions = { ...revisions, ...at.revisions };
    },
  );

  function setMark(blocker: string, grade: Grade | null): void {
    const rest = Object.fromEntries(Object.entries(marks.value).filter(([man]) => man !== blocker));
    marks.value = grade ? { ...rest, [blocker]: grade } : rest;
  }

  /** Gives marks of the snap in hand together, so that one step back takes them all. */
  function giveAll(given: readonly { blocker: string; grade: Grade | null }[]): void {
    if (!snap.value || !mayMark.value || given.length === 0) return;
    const { id, number, revision } = snap.value;
    const told = given.map(({ blocker, grade }) => ({ blocker, grade: withProposed(blocker, grade) }));
    const before = given.map(({ blocker }) => ({ blocker, grade: marks.value[blocker] ?? null }));
    steps.value = [...steps.value, { snapId: id, sheet: sheet.value, before }].slice(-MOST_STEPS);
    hand({ id, number, revision }, told);
  }
  /** With a mark stands what the film had proposed, so that its hits can be counted. */
  function withProposed(blocker: string, grade: Grade | null): Grade | null {
    const proposal = proposals.value[blocker];
    return grade && proposal && grade.counts && !grade.proposed ? { ...grade, proposed: proposedOf(proposal) } : grade;
  }
  function hand(at: MarkedSnap, given: readonly { blocker: string; grade: Grade | null }[]): void {
    for (const { blocker, grade } of given) setMark(blocker, grade);
    if (sheet.value === 'program')
      snaps.value = snaps.value.map((s) =>
        s.id === at.id
          ? { ...s, graded: Object.entries(marks.value).map(([man, g]) => ({ blocker: man, grade: g })) }
          : s,
      );
    void box.give(
      at,
      sheet.value,
      given.map((mark) => ({ ...mark, base: revisions[mark.blocker] ?? 0 })),
    );
  }

  /** Marks a man; `null` takes his mark away. */
  const mark = (blocker: string, grade: Grade | null): void => giveAll([{ blocker, grade }]);

  const done = computed(() => doneGrade(snap.value?.rubric ?? SHIPPED_RUBRIC));
  const change = (blocker: string, part: Partial<Grade>): void =>
    mark(blocker, changedGrade(marks.value[blocker] ?? done.value, part));
  /** Marks what two men share: the same with both, each keeping his own marks. */
  function changePair(blockers: readonly string[], part: Partial<PairMark>): void {
    giveAll(
      blockers.map((blocker) => {
        const now = marks.value[blocker] ?? done.value;
        return { blocker, grade: { ...now, pair: PairMarkSchema.parse({ ...now.pair, ...part }) } };
      }),
    );
  }

  /** Everybody without a mark did his job. */
  const restPlus = (): void =>
    giveAll(men.value.filter((man) => !marks.value[man]).map((blocker) => ({ blocker, grade: done.value })));

  /** Takes what the film proposes for these men, where it proposes anything. */
  function takeProposed(blockers: readonly string[]): void {
    giveAll(
      blockers.flatMap((blocker) => {
        const proposal = proposals.value[blocker];
        const grade = proposal ? takeProposal(proposal, done.value) : null;
        return grade ? [{ blocker, grade }] : [];
      }),
    );
  }
  /** Takes what the film proposes for everybody who has no mark yet. */
  const confirmRest = (): void => takeProposed(men.value.filter((man) => !marks.value[man]));

  /** Takes the last step back, on the snap on which it was made. */
  async function undo(): Promise<void> {
    const step = steps.value.at(-1);
    if (!step) return;
    steps.value = steps.value.slice(0, -1);
    sheet.value = step.sheet;
    if (snap.value?.id !== step.snapId && !(await open(step.snapId))) return;
    const { id, number, revision } = snap.value!;
    hand({ id, number, revision }, step.before);
  }

  /** Of two versions of a mark, mine is to stand. */
  const takeMine = (mine: Parameters<typeof box.takeMine>[0]): Promise<void> => {
    if (snap.value?.id === mine.snapId && mine.sheet === sheet.value) setMark(mine.entry.blocker, mine.entry.grade);
    return box.takeMine(mine);
  };
  /** Of two versions of a mark, the other is to stand. */
  async function takeTheirs(mine: Parameters<typeof box.drop>[0]): Promise<void> {
    await box.drop(mine);
    if (snap.value?.id === mine.snapId) await open(mine.snapId);
  }

  /** Corrects what the snap's situation was; snaps after it may follow. */
  const changeSituation = (change: Partial<Situation>): Promise<boolean> =>
    attempt(async () => {
      const of = snap.value!.id;
      const answer = await request<{ situation: Situation }>(`/api/snaps/${of}/situation`, {
        method: 'PUT',
        body: change,
      });
      if (snap.value?.id === of) snap.value = { ...snap.value, situation: answer.situation };
    });

  /** What is written on the film of this snap is something else now. */
  function setNotes(of: number, notes: SnapView['notes']): void {
    if (snap.value?.id === of) snap.value = { ...snap.value, notes };
  }

  /** Says at which frame of a clip the ball is snapped, first contact is made, the ball is thrown or it is whistled. */
  const markFrame = (clip: number, moment: Moment, frame: number): Promise<boolean> =>
    attempt(async () => {
      const body = await request<ClipBody>(`/api/clips/${clip}`, {
        method: 'PUT',
        body: { [FRAME_OF[moment]]: frame },
      });
      if (!snap.value) return;
      const clips = snap.value.clips.map((c) => (c.id === clip ? { ...c, ...body } : c));
      snap.value = { ...snap.value, clips };
    });

  /** Changes the call of this snap; returns the men whose grades were given against another assignment, if that needs a word. */
  async function changeCall(call: Call, confirmed: boolean): Promise<string[]> {
    let affected: string[] = [];
    await attempt(async () => {
      const answer = await request<{ affected: string[]; changed: boolean }>(`/api/snaps/${snap.value!.id}/call`, {
        method: 'PUT',
        body: { call, confirmed },
      });
      if (answer.changed) show(await fetchSnap(snap.value!.id));
      else affected = answer.affected;
    });
    return affected;
  }

  return {
    games,
    game,
    snaps,
    cut,
    inCut,
    changed,
    changedProblem,
    snap,
    marks,
    men,
    selected,
    sheet,
    steps,
    opening,
    done,
    loadProblem,
    readOnly,
    gradesHimself,
    theirs,
    mayMark,
    open,
    openGame,
    mark,
    change,
    restPlus,
    changePair,
    proposals,
    takeProposed,
    confirmRest,
    undo,
    turnTo,
    takeMine,
    takeTheirs,
    setNotes,
    markFrame,
    changeSituation,
    changeCall,
  };
});

export const gradedCount = (item: SnapItem): number => item.graded.length;
