import { createHash } from 'node:crypto';
import { ERRORS, type Lock, type Locker, type RequestRelease } from '@tus/utils';
import pg from 'pg';

/** One asks on it that whoever holds an upload lets it go. */
const CHANNEL = 'violet_chalk_upload';
/** How often a lock that is held is tried again, and how long in all, ms. */
const AGAIN_MS = 100;
const LONGEST_MS = 30_000;

/**
 * Locks of uploads that every process on one database shares: each is held by a connection of its own, so that it is free as soon as its
 * process is gone, however that ended. Whoever comes later asks the holder to let go, as a broken connection may not have been noticed yet.
 */
export class PostgresLocker implements Locker {
  constructor(private readonly url: string) {}
  newLock = (id: string): Lock => new PostgresLock(this.url, id);
}

class PostgresLock implements Lock {
  private client: pg.Client | null = null;
  private readonly number: string;

  constructor(
    private readonly url: string,
    private readonly id: string,
  ) {
    this.number = createHash('sha256').update(id).digest().readBigInt64BE().toString();
  }

  /** Waits until nobody else holds it; `requestRelease` is called when somebody asks for it later. */
  async lock(signal: AbortSignal, requestRelease: RequestRelease): Promise<void> {
    const client = new pg.Client(this.url);
    // A connection that breaks lets go by itself.
    client.on('error', () => void requestRelease());
    await client.connect();
    try {
      const end = Date.now() + LONGEST_MS;
      while (!(await this.tryOnce(client))) {
        if (signal.aborted || Date.now() > end) throw ERRORS.ERR_LOCK_TIMEOUT;
        await client.query('select pg_notify($1, $2)', [CHANNEL, this.id]);
        await new Promise((soon) => setTimeout(soon, AGAIN_MS));
      }
      client.on('notification', ({ payload }) => {
        if (payload === this.id) void requestRelease();
      });
      await client.query(`listen ${CHANNEL}`);
      this.client = client;
    } catch (problem) {
      await client.end().catch(() => undefined);
      throw problem;
    }
  }

  private async tryOnce(client: pg.Client): Promise<boolean> {
    const { rows } = await client.query<{ got: boolean }>('select pg_try_advisory_lock($1::bigint) as got', [
      this.number,
    ]);
    return rows[0]!.got;
  }

  async unlock(): Promise<void> {
    const { client } = this;
    if (!client) throw new Error('an upload was let go that nobody held');
    this.client = null;
    await client.end().catch(() => undefined);
  }
}
