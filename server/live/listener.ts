import pg from 'pg';
import { CHANNEL } from './announce';

/** How long a broken connection waits before it is made again, ms. */
const AGAIN_MS = 1_000;

/** What somebody who watches is told through. */
export type Tell = (programId: number) => void;

/**
 * One connection of a process that hears what is announced for any program, here or in another process. When it breaks it is made again, and
 * then everybody is told, as something may have been announced meanwhile.
 */
export class Listener {
  private client: pg.Client | null = null;
  private again: NodeJS.Timeout | null = null;
  private isStopped = false;

  constructor(
    private readonly url: string,
    private readonly tell: Tell,
    /** Everything may have changed: the connection was away. */
    private readonly tellAll: () => void,
  ) {}

  async start(): Promise<void> {
    const client = new pg.Client(this.url);
    client.on('error', () => this.startAgain());
    client.on('end', () => this.startAgain());
    client.on('notification', ({ payload }) => this.tell(Number(payload)));
    this.client = client;
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
    } catch {
      this.startAgain();
    }
  }

  private startAgain(): void {
    if (this.isStopped || this.again) return;
    this.client?.removeAllListeners();
    // One that broke may break once more while it ends.
    this.client?.on('error', () => undefined);
    void this.client?.end().catch(() => undefined);
    this.client = null;
    this.again = setTimeout(() => {
      this.again = null;
      void this.start().then(() => this.tellAll());
    }, AGAIN_MS);
  }

  async stop(): Promise<void> {
    this.isStopped = true;
    if (this.again) clearTimeout(this.again);
    this.client?.removeAllListeners();
    await this.client?.end().catch(() => undefined);
  }
}
