/** One who watches: a socket, with whose it is. */
export interface Watcher {
  readonly id: string;
  send(message: string): unknown;
  close(code?: number, reason?: string): unknown;
}

interface Watching {
  readonly watcher: Watcher;
  readonly programId: number;
  /** Whether he still belongs there: his log-in may have ended, or his place in the program. */
  readonly mayStay: () => Promise<boolean>;
}

/** What a watcher is sent: that there is something new. What it is he asks for himself, so that everybody sees only what he may. */
export const NEWS = JSON.stringify({ news: true });
/** Closed because whoever watched may not any more. */
export const NOT_ANY_MORE = 4401;

/** Everybody who watches through this process. */
export class Watchers {
  private readonly all = new Map<string, Watching>();

  add(watcher: Watcher, programId: number, mayStay: () => Promise<boolean>): void {
    this.all.set(watcher.id, { watcher, programId, mayStay });
  }

  drop(id: string): void {
    this.all.delete(id);
  }

  get count(): number {
    return this.all.size;
  }

  /** Tells everybody of a program that there is something new. */
  tell(programId: number): void {
    for (const w of this.all.values()) if (w.programId === programId) w.watcher.send(NEWS);
  }

  tellAll(): void {
    for (const { watcher } of this.all.values()) watcher.send(NEWS);
  }

  /** Sends away who may not watch any more. */
  async sweep(): Promise<void> {
    for (const { watcher, mayStay } of [...this.all.values()]) {
      if (await mayStay().catch(() => true)) continue;
      this.drop(watcher.id);
      watcher.close(NOT_ANY_MORE, 'log in again');
    }
  }
}

/** Those of this process. */
export const watchers = new Watchers();
