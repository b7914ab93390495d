import { createHash } from 'node:crypto';
import { RateLimiterMemory, RateLimiterPostgres, type RateLimiterAbstract } from 'rate-limiter-flexible';
import type { Sequelize } from 'sequelize';

/** Tries a minute for one address from one machine, and for all addresses from that machine; whoever is over waits a minute. */
export const TRIES = 10;
export const TRIES_FROM_ONE_MACHINE = 60;

export interface Limits {
  /** Counts a try before anything is looked at, so that many at once are counted too; the milliseconds to wait when it is one too many. */
  take(machine: string, what: string): Promise<number | null>;
  /** Whoever got in has not been guessing. */
  forget(machine: string, what: string): Promise<void>;
}

/** What is kept of who tried what: nothing that can be read. */
const keyOf = (...parts: string[]): string => createHash('sha256').update(parts.join('\n')).digest('base64url');

/** Limits that every process on one database shares; while it cannot be asked, each process counts for itself. */
export function limitsOn(db: Sequelize): Limits {
  const limiter = (keyPrefix: string, points: number): RateLimiterAbstract => {
    const how = { keyPrefix, points, duration: 60, blockDuration: 60 };
    return new RateLimiterPostgres({
      ...how,
      storeClient: db,
      storeType: 'sequelize',
      tableName: 'rate_limits',
      tableCreated: true,
      insuranceLimiter: new RateLimiterMemory(how),
    });
  };
  const [one, all] = [limiter('one', TRIES), limiter('all', TRIES_FROM_ONE_MACHINE)];
  return {
    async take(machine, what) {
      try {
        await all.consume(keyOf(machine));
        await one.consume(keyOf(machine, what));
        return null;
      } catch (refused) {
        if (refused instanceof Error) throw refused;
        return (refused as { msBeforeNext: number }).msBeforeNext;
      }
    },
    async forget(machine, what) {
      await one.delete(keyOf(machine, what));
      await all.reward(keyOf(machine));
    },
  };
}
