import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createStore, set } from 'idb-keyval';
import { createPinia, setActivePinia } from 'pinia';
import { watch } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { GradesSent } from '#core/model/grade-entry';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { MarksServer, refusal } from '~/testing/marks-server';
import { memoryBox, openBox } from './box';
import { byNote } from './one-tab';
import { useMarks } from './store';
import { newKey, seal, unseal } from './seal';
import { keyOf, nextBatch, replacing, type Waiting } from './waiting';

const LATE: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['left-late'] };
const SNAP = { id: 7, number: 3, revision: 1 };

let server: MarksServer;
let reachable: boolean;
/** Answers that are lost on their way back. */
let lost: boolean;
/** Answers wait for this. */
let held: Promise<void>;
let refuse: (sent: GradesSent) => Error | null;
let sent: GradesSent[];

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] });
  [server, reachable, lost, refuse, sent] = [new MarksServer(), true, false, () => null, []];
  held = Promise.resolve();
  vi.stubGlobal('$fetch', async (url: string, { body }: { body: GradesSent }) => {
    if (!reachable) throw new Error('connection refused');
    const refused = refuse(body);
    if (refused) throw refused;
    sent.push(structuredClone(body));
    const answer = server.put(Number(/\d+/.exec(url)![0]), body);
    if (lost) throw new Error('connection lost');
    await held;
    return answer;
  });
  tab();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A tab of its own, as it is after a reload. */
function tab(userId = 3): ReturnType<typeof useMarks> {
  const pinia = createPinia();
  setActivePinia(pinia);
  useSession().member = aMember({ userId });
  return useMarks(pinia);
}
const at = (blocker: string): Grade | undefined => server.of(SNAP.id).find((m) => m.blocker === blocker)?.grade;
const give = (marks: ReturnType<typeof useMarks>, blocker: string, grade: Grade | null, base = 0): Promise<void> =>
  marks.give(SNAP, 'program', [{ blocker, grade, base }]);

/** What comes of itself, once it has had the time it needs: tries that meet each other are made again later. */
const inTime = <T>(what: () => T) =>
  expect.poll(async () => {
    await vi.advanceTimersByTimeAsync(3100);
    return what();
  });

describe('marks on their way', () => {
  it('wait on the machine while the server cannot be reached, over a reload, and go by themselves', async () => {
    reachable = false;
    const first = tab();
    await give(first, 'LT', LATE);
    expect(first.trouble).toBe('Not connected: 1 mark is kept on this machine and will be sent.');
    const later = tab();
    await later.resume();
    expect(later.onItsWay).toHaveLength(1);
    reachable = true;
    await inTime(() => [later.waiting, later.trouble]).toEqual([[], '']);
    expect(at('LT')).toEqual(LATE);
  });

  it('are never called saved before the server has them, whatever is read of the machine’s store meanwhile', async () => {
    const marks = tab();
    const given: string[] = [];
    const forgotten: string[] = [];
    const missed = (): void => {
      const seen = [...server.of(SNAP.id).map((m) => m.blocker), ...marks.onItsWay.map((w) => w.entry.blocker)];
      forgotten.push(...given.filter((man) => !seen.includes(man)));
    };
    watch(() => marks.waiting, missed, { flush: 'sync' });
    const going: Promise<void>[] = [];
    for (const man of ['LT', 'LG', 'C', 'RG', 'RT']) {
      // One reading is begun before he is marked, one while his mark is being kept, one after.
      going.push(marks.resume());
      given.push(man);
      going.push(give(marks, man, LATE), marks.resume());
      for (let turn = 0; turn < given.length; turn++) await Promise.resolve();
      going.push(marks.resume());
    }
    await Promise.all(going);
    expect(forgotten).toEqual([]);
    expect([server.of(SNAP.id).length, marks.waiting]).toEqual([5, []]);
  });

  it('are in trouble until they are sent, whatever another tab adds to them', async () => {
    reachable = false;
    const first = tab();
    await give(first, 'LT', LATE);
    const trouble = first.trouble;
    const second = tab();
    await give(second, 'RT', LATE);
    await expect.poll(() => first.onItsWay).toHaveLength(2);
    expect(first.trouble).toBe(trouble);
    reachable = true;
    await second.send();
    await expect.poll(() => [first.onItsWay.length, first.trouble]).toEqual([0, '']);
  });

  it('of two tabs without a connection are all kept, and none twice', async () => {
    reachable = false;
    const [one, two] = [tab(), tab()];
    await Promise.all([give(one, 'LT', LATE), give(two, 'RT', LATE), give(one, 'C', LATE), give(two, 'LT', ALL_PLUS)]);
    reachable = true;
    await Promise.all([one.send(), two.send()]);
    await inTime(() => server.of(SNAP.id)).toHaveLength(3);
    expect([at('RT'), at('C')]).toEqual([LATE, LATE]);
    const entries = sent.flatMap((s) => s.entries.map((e) => e.entry));
    expect(new Set(entries).size).toBe(entries.length);
  });

  it('given while another of the man is on its way stands on that one, and goes after it', async () => {
    const marks = tab();
    let answer = (): void => undefined;
    held = new Promise((done) => (answer = done));
    const first = give(marks, 'LT', LATE);
    await expect.poll(() => sent.length).toBe(1);
    const second = give(marks, 'LT', { ...LATE, note: 'looked again' });
    answer();
    await Promise.all([first, second]);
    expect([at('LT')!.note, marks.waiting]).toEqual(['looked again', []]);
    expect(sent.map((s) => s.entries.map((e) => e.base))).toEqual([[0], [1]]);
  });

  it('follow each other though the answer to the first was lost', async () => {
    const marks = tab();
    lost = true;
    await give(marks, 'LT', LATE);
    expect(marks.onItsWay).toHaveLength(1);
    lost = false;
    await give(marks, 'LT', { ...LATE, note: 'second' });
    expect([at('LT')!.note, marks.waiting]).toEqual(['second', []]);
  });

  it('are refused one by one: a bad one takes no other with it, and blocks nobody', async () => {
    const marks = tab();
    refuse = ({ entries }) =>
      entries.some((e) => e.blocker === 'C') ? refusal(400, 'blocker: C has no assignment on this snap.') : null;
    await marks.give(
      SNAP,
      'program',
      ['LT', 'C', 'RT'].map((blocker) => ({ blocker, grade: LATE, base: 0 })),
    );
    expect(server.of(SNAP.id).map((m) => m.blocker)).toEqual(['LT', 'RT']);
    expect(marks.aside.map((w) => [w.entry.blocker, w.aside.kind, w.aside.says])).toEqual([
      ['C', 'refused', 'blocker: C has no assignment on this snap.'],
    ]);
    await give(marks, 'RG', LATE);
    expect(at('RG')).toEqual(LATE);
    await marks.drop(marks.aside[0]!);
    expect(tab().waiting).toEqual([]);
  });

  it('stay while he is logged out or the server is too busy, and are never thrown away', async () => {
    const marks = tab();
    refuse = () => refusal(401, 'Log in first.');
    await give(marks, 'LT', LATE);
    expect(marks.trouble).toBe('You are logged out. 1 mark is kept on this machine: log in again.');
    refuse = () => refusal(503, 'The database does not answer.');
    await inTime(() => marks.trouble).toContain('Not connected');
    expect([marks.aside, marks.onItsWay.length]).toEqual([[], 1]);
    refuse = () => null;
    await inTime(() => at('LT')).toEqual(LATE);
  });

  it('that meet another’s lie aside over a reload; the rest of their snap goes on', async () => {
    server.set(SNAP.id, 'LT', { ...ALL_PLUS, note: 'seen by Theo' });
    const marks = tab();
    await marks.give(SNAP, 'program', [
      { blocker: 'LT', grade: LATE, base: 0 },
      { blocker: 'RT', grade: LATE, base: 0 },
    ]);
    expect([at('LT')!.note, at('RT')]).toEqual(['seen by Theo', LATE]);
    const later = tab();
    await later.resume();
    expect(later.aside[0]).toMatchObject({ entry: { blocker: 'LT', grade: LATE }, aside: { kind: 'marks' } });
    await later.takeMine(later.aside[0]!);
    expect([at('LT'), later.waiting]).toEqual([LATE, []]);
  });

  it('given against a call that was changed lie aside, all of the snap', async () => {
    server.revisions.set(SNAP.id, 2);
    const marks = tab();
    await marks.give(
      SNAP,
      'program',
      ['LT', 'RT'].map((blocker) => ({ blocker, grade: LATE, base: 0 })),
    );
    expect(marks.aside.map((w) => w.aside.kind)).toEqual(['call', 'call']);
    await marks.takeMine(marks.aside[0]!);
    expect(server.of(SNAP.id)).toHaveLength(1);
  });

  it('are their giver’s own: nobody else on the machine sees or sends them', async () => {
    reachable = false;
    await give(tab(), 'LT', LATE);
    reachable = true;
    const other = tab(4);
    await other.resume();
    expect([other.waiting, server.of(SNAP.id)]).toEqual([[], []]);
  });

  it('that no build can read are counted and left where they are', async () => {
    const store = createStore('violet-chalk-marks', 'marks');
    await set('1/3/7/program/LT', { half: 'a mark' }, store);
    const marks = tab();
    await marks.resume();
    expect([marks.unreadable, marks.waiting]).toEqual([1, []]);
    await give(marks, 'RT', LATE);
    expect([at('RT'), marks.unreadable]).toEqual([LATE, 1]);
  });

  it('last as long as the page where the browser keeps nothing, and it says so', async () => {
    vi.stubGlobal('indexedDB', undefined);
    const marks = tab();
    await give(marks, 'LT', LATE);
    expect([marks.lasting, at('LT')]).toEqual([false, LATE]);
  });
});

const waiting = (blocker: string, entry: string, more: Partial<Waiting> = {}): Waiting => ({
  ...{ programId: 1, userId: 3, snapId: 7, snapNumber: 3, snapRevision: 1, sheet: 'program', at: 1, aside: null },
  entry: { entry, blocker, grade: LATE, base: 2, follows: [] },
  ...more,
});
const [ONE, TWO, THREE] = [1, 2, 3].map((n) => `00000000-0000-4000-8000-00000000000${n}`) as [string, string, string];

describe('a mark in the place of another', () => {
  it('stands on the same ground and names everybody it replaces', () => {
    const second = replacing(waiting('LT', ONE), waiting('LT', TWO, { snapRevision: 9 }));
    const third = replacing(second, waiting('LT', THREE));
    expect(third.entry).toMatchObject({ entry: THREE, base: 2, follows: [ONE, TWO] });
    expect(second.snapRevision).toBe(1);
    const aside = { kind: 'marks', says: '', other: null, snapRevision: 4 } as const;
    const fresh = waiting('LT', TWO, { snapRevision: 4 });
    expect(replacing(waiting('LT', ONE, { aside }), fresh)).toEqual(fresh);
  });

  it('is not taken away by the answer to the one before', async () => {
    for (const box of [memoryBox(), await openBox()]) {
      await box.put(waiting('LT', ONE));
      await box.put(waiting('LT', TWO));
      await box.arrived(waiting('LT', ONE), 5);
      const [left] = (await box.all({ programId: 1, userId: 3 })).marks;
      expect(left!.entry).toMatchObject({ entry: TWO, base: 5, follows: [] });
      await box.change(waiting('LT', ONE), null);
      await box.arrived(left!, 6);
      expect((await box.all({ programId: 1, userId: 3 })).marks).toEqual([]);
    }
  });

  it('is sent with its snap, the oldest first, and what lies aside is not', () => {
    const aside = { kind: 'refused', says: '', other: null, snapRevision: 1 } as const;
    const all = [
      waiting('LT', ONE, { at: 5 }),
      waiting('RT', TWO, { at: 9, snapId: 8 }),
      waiting('C', THREE, { at: 7 }),
      waiting('RG', THREE, { at: 1, aside }),
    ];
    expect(nextBatch(all).map((w) => w.entry.blocker)).toEqual(['LT', 'C']);
    expect(nextBatch([])).toEqual([]);
    expect(new Set(all.map(keyOf)).size).toBe(4);
  });
});

describe('one tab at a time, without the browser’s locks', () => {
  it('the other is sent away, and gets its turn when the first is done or has died', async () => {
    let now = 0;
    const [one, two] = [byNote('marks', () => now), byNote('marks', () => now)];
    let release = (): void => {};
    const busy = one(() => new Promise<void>((go) => (release = go)));
    await expect.poll(() => two(async () => {})).toBe(false);
    release();
    expect(await busy).toBe(true);
    expect(await two(async () => {})).toBe(true);
    void one(() => new Promise<void>(() => {}));
    await expect.poll(() => two(async () => {})).toBe(false);
    now += 60_000;
    expect(await two(async () => {})).toBe(true);
  });

  it('gives the turn back though what was done there failed', async () => {
    const [one, two] = [byNote('other'), byNote('other')];
    await expect(one(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await two(async () => {})).toBe(true);
  });
});

describe('somebody logs out', () => {
  const leaving = (userId: number, deviceKey: string) => {
    const marks = tab(userId);
    useSession().deviceKey = deviceKey;
    return marks;
  };

  it('and what has not arrived stays, locked for him, named, and goes when he is back', async () => {
    const key = newKey();
    reachable = false;
    const first = leaving(3, key);
    await give(first, 'LT', LATE);
    await give(first, 'C', ALL_PLUS);
    await first.lock();
    expect(first.waiting).toEqual([]);
    expect(await first.locked()).toMatchObject([{ userId: 3, count: 2 }]);
    const kept = JSON.stringify(await (await openBox()).sealed());
    for (const word of ['LT', 'left-late', 'technique']) expect(kept).not.toContain(word);

    const other = leaving(4, newKey());
    await other.resume();
    expect([other.waiting, (await other.locked()).length]).toEqual([[], 1]);

    reachable = true;
    const back = leaving(3, key);
    await back.resume();
    expect([at('LT'), at('C')]).toEqual([LATE, ALL_PLUS]);
    expect(await back.locked()).toEqual([]);
  });

  it('and is known again to the same page when he logs in anew', async () => {
    reachable = false;
    const marks = leaving(3, newKey());
    await marks.takenUp();
    await give(marks, 'LT', LATE);
    await marks.lock();
    await marks.takenUp();
    expect(marks.waiting.map((w) => w.entry.blocker)).toEqual(['LT']);
  });

  it('with another key it stays locked and is not lost', async () => {
    reachable = false;
    const [right, wrong] = [newKey(), newKey()];
    const first = leaving(3, right);
    await give(first, 'LT', LATE);
    await first.lock();
    expect(await (await openBox()).unseal(4, wrong)).toBe(0);
    expect(await (await openBox()).unseal(3, wrong)).toBe(1);
    expect(await (await openBox()).unseal(3, right)).toBe(0);
    expect((await (await openBox()).all({ programId: 1, userId: 3 })).marks).toHaveLength(1);
  });

  it('twice before he is back, both are kept', async () => {
    reachable = false;
    const key = newKey();
    for (const blocker of ['LT', 'RT']) {
      const marks = leaving(3, key);
      await give(marks, blocker, LATE);
      await marks.lock();
    }
    const back = leaving(3, key);
    await back.resume();
    expect(back.waiting.map((w) => w.entry.blocker)).toEqual(['LT', 'RT']);
  });

  it('nothing of it opens once a single sign was changed', () => {
    const key = newKey();
    const sealed = seal(key, { userId: 3, name: 'Maren' }, [['1/3/7/program/LT', { a: 1 }]]);
    expect(unseal(key, sealed)).toEqual([['1/3/7/program/LT', { a: 1 }]]);
    const flip = (at: number): string =>
      sealed.locked.slice(0, at) + (sealed.locked[at] === '0' ? '1' : '0') + sealed.locked.slice(at + 1);
    for (const at of [0, 60, sealed.locked.length - 1]) expect(unseal(key, { locked: flip(at) })).toBeNull();
    expect(unseal(key, { locked: 'no hex' })).toBeNull();
    expect(seal(key, { userId: 3, name: '' }, []).locked).not.toBe(seal(key, { userId: 3, name: '' }, []).locked);
  });
});
