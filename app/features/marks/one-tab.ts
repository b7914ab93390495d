import { createStore, update } from 'idb-keyval';

/** How long a tab holds what it took, milliseconds, unless it says that it is still there; longer than a request takes. */
const HOLD_MS = 15_000;

interface Held {
  readonly by: string;
  readonly until: number;
}

/** Does something while no other tab of this browser does it; `false` at once when one does. */
export type OneTab = (what: () => Promise<void>) => Promise<boolean>;

/** With the browser's own locks, which there are on https and on this machine. */
const byLocks =
  (locks: LockManager, name: string): OneTab =>
  async (what) => {
    let done = false;
    await locks.request(name, { ifAvailable: true }, async (lock) => {
      if (!lock) return;
      await what();
      done = true;
    });
    return done;
  };

/** With a note in IndexedDB that runs out by itself, for plain http: a tab that was closed in the middle holds up nobody for long. */
export function byNote(name: string, now: () => number = Date.now, holdMs = HOLD_MS): OneTab {
  const me = crypto.getRandomValues(new Uint32Array(2)).join('-');
  const store = createStore('violet-chalk-tabs', 'held');
  const hold = async (): Promise<boolean> => {
    let mine = false;
    await update<Held>(
      name,
      (held) => {
        mine = !held || held.by === me || held.until < now();
        return mine ? { by: me, until: now() + holdMs } : held!;
      },
      store,
    );
    return mine;
  };
  return async (what) => {
    if (!(await hold())) return false;
    const still = setInterval(() => void hold(), holdMs / 3);
    try {
      await what();
    } finally {
      clearInterval(still);
      await update<Held>(name, (held) => (held?.by === me ? { by: me, until: -1 } : held!), store);
    }
    return true;
  };
}

/** Without either there is nothing that other tabs could see. */
const alone: OneTab = async (what) => {
  await what();
  return true;
};

/** The best that this browser has. */
export function oneTab(name: string, lasting: boolean): OneTab {
  if (typeof navigator !== 'undefined' && navigator.locks) return byLocks(navigator.locks, name);
  return lasting ? byNote(name) : alone;
}
