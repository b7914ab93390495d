import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Grade } from '#core/model/grade';
import { GradesConflictSchema, GradesKeptSchema, type GradesSent, type Sheet } from '#core/model/grade-entry';
import { request, RequestProblem } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import { takeAhead } from '~/features/session/ahead';
import { BOX, openBox, type MarkBox } from './box';
import { newId } from './new-id';
import { oneTab, type OneTab } from './one-tab';
import { inPlaceOf, keyOf, nextBatch, sayWaiting, type Aside, type Owner, type Waiting } from './waiting';

/** The snap a mark is given on, as its grader sees it. */
export interface MarkedSnap {
  readonly id: number;
  readonly number: number;
  readonly revision: number;
}
/** Where the marks of a snap stand on the server now. */
export interface Arrived {
  readonly snapId: number;
  readonly sheet: Sheet;
  readonly revisions: Readonly<Record<string, number>>;
}
const RETRY_MS = 3000;

/** Marks on their way: each is kept on this machine until the server has it, and laid aside where somebody must decide. */
export const useMarks = defineStore('marks', () => {
  const session = useSession();
  /** What waits or lies aside, the oldest first. */
  const waiting = shallowRef<Waiting[]>([]);
  const unreadable = ref(0);
  const trouble = ref('');
  /** False where the browser keeps nothing beyond this page. */
  const lasting = ref(true);
  const arrived = shallowRef<Arrived | null>(null);
  const onItsWay = computed(() => waiting.value.filter((w) => !w.aside));
  const aside = computed(() => waiting.value.filter((w): w is Waiting & { aside: Aside } => w.aside !== null));
  /** Marks given that the machine's store has not taken yet, by their places: no reading of it knows them. */
  const entering = new Map<string, Waiting>();
  /** How often the store was read, and the newest reading of it: an older one that ends later is worth nothing. */
  let readings = 0;
  let newest = Promise.resolve();
  let opening: Promise<{ box: MarkBox; only: OneTab; tabs: BroadcastChannel | null }> | null = null;
  let taken: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let again = false;
  let sending: Promise<void> | null = null;

  const owner = (): Owner => ({ programId: session.member?.programId ?? 0, userId: session.member?.userId ?? 0 });

  const opened = () =>
    (opening ??= (async () => {
      const box = await (takeAhead<MarkBox>(BOX) ?? openBox());
      lasting.value = box.lasting;
      const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('violet-chalk-marks');
      if (tabs) tabs.onmessage = () => void reread();
      return { box, only: oneTab('violet-chalk-marks', box.lasting), tabs };
    })());

  function reread(): Promise<void> {
    const turn = ++readings;
    newest = (async () => {
      const { box } = await opened();
      const found = await box.all(owner());
      if (turn !== readings) return newest;
      waiting.value = inPlaceOf(found.marks, [...entering.values()]);
      unreadable.value = found.unreadable;
      // Another tab may have sent what this one could not.
      if (onItsWay.value.length === 0) trouble.value = '';
    })();
    return newest;
  }
  async function changed(): Promise<void> {
    const seen = reread();
    (await opened()).tabs?.postMessage('changed');
    await seen;
  }

  /** Keeps marks of one snap on this machine, then sends them; `base` is the revision of each mark that its grader has seen. */
  async function give(
    snap: MarkedSnap,
    sheet: Sheet,
    marks: readonly { blocker: string; grade: Grade | null; base: number }[],
  ): Promise<void> {
    const at = Date.now();
    const given = marks.map(({ blocker, grade, base }, i): Waiting => ({
      ...owner(),
      snapId: snap.id,
      snapNumber: snap.number,
      snapRevision: snap.revision,
      sheet,
      entry: { entry: newId(), blocker, grade, base, follows: [] },
      at: at + i / 100,
      aside: null,
    }));
    // Shown at once: what is on the screen never waits for the machine's store.
    waiting.value = inPlaceOf(waiting.value, given);
    for (const mark of given) entering.set(keyOf(mark), mark);
    const { box } = await opened();
    for (const mark of given) await box.put(mark);
    for (const mark of given) if (entering.get(keyOf(mark)) === mark) entering.delete(keyOf(mark));
    await changed();
    await send();
  }

  /** Sends what waits; one tab does so at a time, and what is given meanwhile goes right after. */
  function send(): Promise<void> {
    if (timer) clearTimeout(timer);
    timer = null;
    if (sending) {
      again = true;
      return sending;
    }
    sending = (async () => {
      try {
        const { only } = await opened();
        do {
          again = false;
          const done = await only(sendAll);
          if (!done) later();
        } while (again);
      } finally {
        sending = null;
      }
    })();
    return sending;
  }
  const later = (): void => {
    timer ??= setTimeout(() => void send(), RETRY_MS);
  };

  async function sendAll(): Promise<void> {
    const { box } = await opened();
    for (;;) {
      const { marks } = await box.all(owner());
      const batch = nextBatch(marks);
      if (batch.length === 0) break;
      try {
        await sendBatch(box, batch);
      } catch (problem) {
        if (!(problem instanceof RequestProblem)) throw problem;
        await reread();
        trouble.value = troubleOf(problem, onItsWay.value.length);
        later();
        return;
      }
    }
    trouble.value = '';
    await changed();
  }

  async function sendBatch(box: MarkBox, batch: readonly Waiting[]): Promise<void> {
    const { snapId, sheet, snapRevision } = batch[0]!;
    const body: GradesSent = { sheet, snapRevision, entries: batch.map((w) => w.entry) };
    try {
      const answer = await request(`/api/snaps/${snapId}/grades`, { method: 'PUT', body });
      const { revisions } = GradesKeptSchema.parse(answer);
      for (const mark of batch) await box.arrived(mark, revisions[mark.entry.blocker] ?? 0);
      arrived.value = { snapId, sheet, revisions };
    } catch (problem) {
      if (!(problem instanceof RequestProblem) || !problem.isFinal) throw problem;
      if (problem.status === 409) await setAside(box, batch, problem);
      // One that is refused takes no other with it.
      else if (batch.length > 1) for (const mark of batch) await sendBatch(box, [mark]);
      else await box.change(batch[0]!, { ...batch[0]!, aside: refusal(problem, batch[0]!) });
    }
  }

  /** Lays aside the marks that meet others; the rest of the batch goes on. */
  async function setAside(box: MarkBox, batch: readonly Waiting[], problem: RequestProblem): Promise<void> {
    const { kind, snapRevision, others } = GradesConflictSchema.parse(problem.data);
    for (const mark of batch) {
      const other = others.find((o) => o.blocker === mark.entry.blocker) ?? null;
      if (other || kind === 'call')
        await box.change(mark, { ...mark, aside: { kind, says: problem.message, other, snapRevision } });
    }
  }
  const refusal = ({ message }: RequestProblem, { snapRevision }: Waiting): Aside => ({
    kind: 'refused',
    says: message,
    other: null,
    snapRevision,
  });

  /** Of two versions mine is to stand: it goes on, now knowing the other. */
  async function takeMine(mark: Waiting & { aside: Aside }): Promise<void> {
    const { box } = await opened();
    const { other, snapRevision } = mark.aside;
    const entry = { ...mark.entry, entry: newId(), base: other?.revision ?? mark.entry.base, follows: [] };
    await box.change(mark, { ...mark, entry, snapRevision, at: Date.now(), aside: null });
    await changed();
    await send();
  }
  /** Mine is not wanted any more. */
  async function drop(mark: Waiting): Promise<void> {
    await (await opened()).box.change(mark, null);
    await changed();
  }

  /** Somebody logs out: what has not arrived stays here, locked for him alone. */
  async function lock(): Promise<void> {
    const { member, deviceKey } = session;
    if (!member || !deviceKey) return;
    await (await opened()).box.seal({ userId: member.userId, name: member.userName }, deviceKey);
    taken = null;
    await changed();
  }
  /** Whose marks are locked on this machine. */
  const locked = async (): Promise<{ name: string; count: number }[]> => (await opened()).box.sealed();

  /** Takes up what waits on this machine since earlier, also what was locked when he logged out, and sends it. */
  async function resume(): Promise<void> {
    await (taken = takeUp());
    if (onItsWay.value.length) await send();
  }
  async function takeUp(): Promise<void> {
    const { member, deviceKey } = session;
    if (member && deviceKey) await (await opened()).box.unseal(member.userId, deviceKey);
    await reread();
  }
  /** What waits on this machine is known: a snap that is shown before that would be shown without it. */
  const takenUp = (): Promise<void> => (taken ??= takeUp());

  /** The mark of a man that waits on this machine; `undefined` when none does. */
  const waitingFor = (snapId: number, sheet: Sheet): Waiting[] =>
    waiting.value.filter((w) => w.snapId === snapId && w.sheet === sheet);

  return {
    waiting,
    onItsWay,
    aside,
    unreadable,
    trouble,
    lasting,
    arrived,
    give,
    send,
    resume,
    takenUp,
    lock,
    locked,
    takeMine,
    drop,
    waitingFor,
  };
});

function troubleOf(problem: RequestProblem, waiting: number): string {
  if (problem.offline) return `Not connected: ${sayWaiting(waiting)} kept on this machine and will be sent.`;
  if (problem.status === 401) return `You are logged out. ${sayWaiting(waiting)} kept on this machine: log in again.`;
  return `${problem.message} ${sayWaiting(waiting)} kept on this machine and will be sent again.`;
}
