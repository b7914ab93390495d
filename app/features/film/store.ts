import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { FRAME_OF, type Moment } from '#core/film/frames';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { GameItem, SnapItem, SnapView } from '#core/model/game';
import type { Call, ClipBody, Situation } from '#core/model/snap';
import { request, RequestProblem } from '~/features/session/request';
import { attempting } from '~/features/session/attempt';
import { useSession } from '~/features/session/store';
import { isInCut, type Cut } from '#core/film/log/cut';
import { dequeue, enqueue, nextBatch, queueKey, readQueue, type Waiting } from './queue';

/** A snap that would be worked out otherwise today. */
export interface ChangedItem {
  id: number;
  number: number;
  men: string[];
  why: string | null;
}
const RETRY_MS = 3000;

/** Film of one game and the marks on it. Every mark is kept on this machine until the server has it. */
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
  const marks = ref<Record<string, Grade>>({});
  const selected = ref<string | null>(null);
  const queue = ref<Waiting[]>([]);
  const trouble = ref('');
  const loadProblem = ref('');
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | null = null;

  const key = (): string => queueKey(session.member?.programId ?? 0, session.member?.userId ?? 0);
  const keep = (): void => localStorage.setItem(key(), JSON.stringify(queue.value));
  const men = computed(() => snap.value?.resolution.assignments.map((a) => a.blocker) ?? []);
  const readOnly = computed(() => !session.staff);

  const attempt = attempting(loadProblem);

  /** Opens a snap, or the first one not yet graded; the list stands before the snap does, so that "next" has somewhere to go. */
  const open = (id: number | null): Promise<boolean> =>
    attempt(async () => {
      if (!session.staff) return id === null ? undefined : show(await fetchSnap(id));
      const found = id === null ? null : await fetchSnap(id);
      if (games.value.length === 0 || (found && !games.value.some((g) => g.id === found.gameId)))
        games.value = await request<GameItem[]>('/api/games');
      const wanted = found?.gameId ?? game.value ?? games.value.at(-1)?.id ?? null;
      if (wanted === null) return;
      // Snaps may have been logged since the list was asked for.
      const isKnown = game.value === wanted && (!found || snaps.value.some((s) => s.id === found.id));
      if (!isKnown || snaps.value.length === 0) await openList(wanted);
      const first = inCut.value.find((s) => gradedCount(s) < s.asked.length) ?? inCut.value[0] ?? snaps.value[0];
      if (found) show(found);
      else if (first) show(await fetchSnap(first.id));
      else snap.value = null;
    });

  /** Opens another game, at the first snap that is not graded. */
  const openGame = (id: number): Promise<boolean> => {
    game.value = id;
    snaps.value = [];
    return open(null);
  };

  async function openList(of: number): Promise<void> {
    snaps.value = await request<SnapItem[]>(`/api/games/${of}/snaps`);
    game.value = of;
    void loadChanged(of);
  }

  /** What would be worked out otherwise today: beside the film, which opens without it. */
  async function loadChanged(of: number): Promise<void> {
    changed.value = [];
    changedProblem.value = '';
    try {
      const found = await request<ChangedItem[]>(`/api/games/${of}/changed`);
      if (game.value === of) changed.value = found;
    } catch (problem) {
      if (!(problem instanceof RequestProblem)) throw problem;
      if (game.value === of) changedProblem.value = problem.message;
    }
  }

  const fetchSnap = (id: number): Promise<SnapView> => request<SnapView>(`/api/snaps/${id}`);

  function show(found: SnapView): void {
    snap.value = found;
    marks.value = Object.fromEntries(found.grades.map((g) => [g.blocker, g.grade]));
    for (const w of queue.value) if (w.snapId === found.id) setMark(w.blocker, w.grade);
    if (!found.resolution.assignments.some((a) => a.blocker === selected.value)) selected.value = null;
  }

  function setMark(blocker: string, grade: Grade | null): void {
    const rest = Object.fromEntries(Object.entries(marks.value).filter(([man]) => man !== blocker));
    marks.value = grade ? { ...rest, [blocker]: grade } : rest;
  }

  /** Marks a man and keeps the mark here until it is saved. */
  function mark(blocker: string, grade: Grade | null): void {
    if (!snap.value || readOnly.value) return;
    setMark(blocker, grade);
    queue.value = enqueue(queue.value, { snapId: snap.value.id, blocker, grade });
    keep();
    snaps.value = snaps.value.map((s) =>
      s.id === snap.value!.id
        ? { ...s, graded: Object.entries(marks.value).map(([man, g]) => ({ blocker: man, grade: g })) }
        : s,
    );
    void send();
  }

  const change = (blocker: string, part: Partial<Grade>): void =>
    mark(blocker, { ...(marks.value[blocker] ?? ALL_PLUS), ...part });

  /** Everybody without a mark did his job. */
  function restPlus(): void {
    for (const man of men.value) if (!marks.value[man]) mark(man, ALL_PLUS);
  }

  function resume(): void {
    queue.value = readQueue(localStorage, key());
    if (queue.value.length) void send();
  }

  async function send(): Promise<void> {
    if (sending) return;
    sending = true;
    if (timer) clearTimeout(timer);
    try {
      for (let batch = nextBatch(queue.value); batch.length; batch = nextBatch(queue.value)) {
        await request(`/api/snaps/${batch[0]!.snapId}/grades`, {
          method: 'PUT',
          body: { entries: batch.map(({ blocker, grade }) => ({ blocker, grade })) },
        });
        queue.value = dequeue(queue.value, batch);
        keep();
      }
      trouble.value = '';
    } catch (problem) {
      if (!(problem instanceof RequestProblem)) throw problem;
      trouble.value = problem.offline
        ? `Not connected: ${waitingWords(queue.value.length)} kept on this machine and will be sent.`
        : `${problem.message} ${waitingWords(queue.value.length)} kept on this machine.`;
      timer = setTimeout(() => void send(), RETRY_MS);
    } finally {
      sending = false;
    }
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

  /** Says at which frame of a clip the ball is snapped, first contact is made or it is whistled. */
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
    queue,
    trouble,
    loadProblem,
    readOnly,
    open,
    openGame,
    mark,
    change,
    restPlus,
    resume,
    send,
    setNotes,
    markFrame,
    changeSituation,
    changeCall,
  };
});

const waitingWords = (count: number): string => `${count} ${count === 1 ? 'mark is' : 'marks are'}`;

export const gradedCount = (item: SnapItem): number => item.graded.length;
