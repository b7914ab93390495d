import { createStore, type UseStore } from 'idb-keyval';
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
}

const read = (kept: unknown): Waiting | null => WaitingSchema.safeParse(kept).data ?? null;

function boxOn({ lasting, at, entries }: Shelf): MarkBox {
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
  });
}

/** A box that lasts as long as the page, where the browser has no other. */
export function memoryBox(): MarkBox {
  const kept = new Map<string, Waiting>();
  return boxOn({
    lasting: false,
    async at(key, step) {
      const now = step(kept.get(key) ?? null);
      if (now === null) kept.delete(key);
      else if (now !== undefined) kept.set(key, now);
    },
    entries: async () => [...kept],
  });
}

/** The machine's box of marks. */
export async function openBox(): Promise<MarkBox> {
  try {
    const box = lastingBox(createStore('violet-chalk-marks', 'marks'));
    await box.all({ programId: 0, userId: 0 });
    return box;
  } catch {
    return memoryBox();
  }
}
