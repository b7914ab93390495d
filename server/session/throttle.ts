import type { H3Event } from 'h3';
import { RateLimiterMemory } from 'rate-limiter-flexible';

/** Tries a minute for one address from one machine, and for all addresses from that machine; whoever is over waits a minute. */
const TRIES = 10;
const TRIES_FROM_ONE_MACHINE = 60;
const one = new RateLimiterMemory({ points: TRIES, duration: 60, blockDuration: 60 });
const all = new RateLimiterMemory({ points: TRIES_FROM_ONE_MACHINE, duration: 60, blockDuration: 60 });

const machine = (event: H3Event): string => getRequestIP(event) ?? 'unknown';
const keyOf = (event: H3Event, email: string): string => `${machine(event)} ${email.trim().toLowerCase()}`;

/** Counts a try before its password is looked at, so that many at once are counted too; 429 with the seconds to wait. */
export async function takeTry(event: H3Event, email: string): Promise<void> {
  try {
    await all.consume(machine(event));
    await one.consume(keyOf(event, email));
  } catch (refused) {
    const wait = Math.ceil((refused as { msBeforeNext: number }).msBeforeNext / 1000);
    throw createError({ statusCode: 429, message: `Too many tries. Try again in ${wait} seconds.` });
  }
}

/** Whoever got in has not been guessing. */
export async function forgetTries(event: H3Event, email: string): Promise<void> {
  await one.delete(keyOf(event, email));
  await all.reward(machine(event));
}
