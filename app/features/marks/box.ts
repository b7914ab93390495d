import type { UseStore } from 'idb-keyval';
import { newId } from './new-id';
import { seal, SealedSchema, unseal, type Sealed } from './seal';
import { marksShelf } from './shelf';
import { keyOf, replacing, WaitingSchema, type Owner, type Waiting } from './waiting';

/** Where marks lie on this machine until the server has them: one entry a mark, so that two tabs never write over each other's. */
export interface MarkBox {
  /** False where the browser keeps nothing beyond the page. */
  readonly lasting: boolean;
  /** Puts a mark in, in the place of one that waits there; returns it as it was put. */
  readonly put: (mark: Waiting) => Promise<Waiting>;
  /** The server has this mark, at this revision; one given since stays and stands on it. */
  readonly arrived: (mark: Waiting, revision: number) => Promise<void>;
  /** Lays a mark aside, or lets it go on; a newer one in its place is left alone. */
  readonly change: (mark: Waiting, to: Waiting | null) => Promise<void>;
  /** A person leaves this machine: everything of his is locked with his key, under his name. Returns how many marks that are. */
  readonly seal: (who: { userId: number; name: string }, key: string) => Promise<number>;
  /** He is here again: what was locked lies where it lay. Returns how many marks another key than his had locked. */
  readonly unseal: (userId: number, key: string) => Promise<number>;
  /** Whose marks are locked here. */
  readonly sealed: () => Promise<Sealed[]>;
  /** Everything of one user; what nobody can read any more is counted. */
  readonly all: (owner: Owner) => Promise<{ marks: Waiting[]; unreadable: number }>;
}

/** What lies in a place, and what is to lie there now: `undefined` leaves it, `null` empties it. */
type Step = (there: Waiting | null) => Waiting | null | undefined;

/** The steps every box is made of; `at` does one without anybody coming between. */
interface Shelf {
  readonly lasting: boolean;
  readonly at: (key: string, step: Step) => Promise<void>;
  readonly entries: () => Promise<[string, unknown][]>;
  /** Puts and removes at once, or not at all. */
  readonly swap: (put: readonly [string, unknown][], remove: readonly string[]) => Promise<void>;
}

const SEALED = 'sealed/';
/** Places of one person, in whatever program. */
const isOf = (userId: number, key: string): boolean => key.split('/')[1] === String(userId) && !key.startsWith(SEALED);

const read = (kept: unknown): Waiting | null => WaitingSchema.safeParse(kept).data ?? null;

function boxOn({ lasting, at, entries, swap }: Shelf): MarkBox {
  const sealed = async (): Promise<[string, Sealed][]> =>
    (await entries()).flatMap(([key, kept]) => {
      const parsed = key.startsWith(SEALED) ? SealedSchema.safeParse(kept).data : undefined;
      return parsed ? [[key, parsed] as [string, Sealed]] : [];
    });
  return {
    lasting,
    async put(mark) {
      let put = mark;
      await at(keyOf(mark), (there) => (put = replacing(there, mark)));
      return put;
    },
    arrived: (mark, revision) =>
      at(keyOf(mark), (there) => {
        if (!there) return undefined;
        if (there.entry.entry === mark.entry.entry) return null;
        return { ...there, entry: { ...there.entry, base: revision, follows: [] } };
      }),
    change: (mark, to) => at(keyOf(mark), (there) => (there?.entry.entry === mark.entry.entry ? to : undefined)),
    async seal(who, key) {
      const own = (await entries()).filter(([place]) => isOf(who.userId, place));
      if (own.length === 0) return 0;
      const place = `${SEALED}${who.userId}/${newId()}`;
      await swap(
        [[place, seal(key, who, own)]],
        own.map(([k]) => k),
      );
      return own.length;
    },
    async unseal(userId, key) {
      let foreign = 0;
      for (const [place, kept] of await sealed()) {
        if (kept.userId !== userId) continue;
        const opened = unseal(key, kept);
        if (opened) await swap(opened, [place]);
        else foreign += kept.count;
      }
      return foreign;
    },
    sealed: async () => (await sealed()).map(([, kept]) => kept),
    async all({ programId, userId }) {
      const own = (await entries()).filter(([key]) => key.startsWith(`${programId}/${userId}/`));
      const marks = own.map(([, kept]) => read(kept)).filter((w) => w !== null);
      return { marks: marks.sort((a, b) => a.at - b.at), unreadable: own.length - marks.length };
    },
  };
}

const settled = (request: IDBRequest): Promise<unknown> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error!);
  });
const done = (transaction: IDBTransaction): Promise<void> =>
  new Promise((resolve, reject) => {
    transaction.oncomplete = () => resolve();
    transaction.onabort = transaction.onerror = () => reject(transaction.error!);
  });

/** A box in IndexedDB: each step is a transaction of its own, which no other tab comes between. */
function lastingBox(store: UseStore): MarkBox {
  return boxOn({
    lasting: true,
    at: (key, step) =>
      store('readwrite', async (shelf) => {
        const ended = done(shelf.transaction);
        const now = step(read(await settled(shelf.get(key))));
        if (now === null) shelf.delete(key);
        else if (now !== undefined) shelf.put(JSON.parse(JSON.stringify(now)), key);
        await ended;
      }),
    entries: () =>
      store('readonly', async (shelf) => {
        const [keys, values] = [shelf.getAllKeys(), shelf.getAll()];
        const [names, kept] = (await Promise.all([settled(keys), settled(values)])) as [string[], unknown[]];
        return names.map((name, i): [string, unknown] => [name, kept[i]]);
      }),
    swap: (put, remove) =>
      store('readwrite', async (shelf) => {
        const ended = done(shelf.transaction);
        for (const [key, value] of put) shelf.put(JSON.parse(JSON.stringify(value)), key);
        for (const key of remove) shelf.delete(key);
        await ended;
      }),
  });
}

/** A box that lasts as long as the page, where the browser has no other. */
export function memoryBox(): MarkBox {
  const kept = new Map<string, unknown>();
  return boxOn({
    lasting: false,
    async at(key, step) {
      const now = step(read(kept.get(key)));
      if (now === null) kept.delete(key);
      else if (now !== undefined) kept.set(key, now);
    },
    entries: async () => [...kept],
    async swap(put, remove) {
      for (const [key, value] of put) kept.set(key, value);
      for (const key of remove) kept.delete(key);
    },
  });
}

/** Under which the box is opened ahead. */
export const BOX = 'marks';

/** The machine's box of marks, on a shelf that may be open already. */
export async function openBox(shelf: UseStore = marksShelf()): Promise<MarkBox> {
  try {
    const box = lastingBox(shelf);
    await box.all({ programId: 0, userId: 0 });
    return box;
  } catch {
    return memoryBox();
  }
}
