import type { H3Event } from 'h3';
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

const TRIES = 10;
const limiter = new RateLimiterMemory({ points: TRIES, duration: 60, blockDuration: 60 });

const keyOf = (event: H3Event, email: string): string => `${getRequestIP(event) ?? 'unknown'} ${email.toLowerCase()}`;

/** Counts a wrong password; the eleventh within a minute waits a minute. */
export async function countFailure(event: H3Event, email: string): Promise<void> {
  await limiter.consume(keyOf(event, email)).catch(() => undefined);
}

export async function refuseIfBlocked(event: H3Event, email: string): Promise<void> {
  const state: RateLimiterRes | null = await limiter.get(keyOf(event, email));
  if (state && state.consumedPoints > TRIES) {
    throw createError({
      statusCode: 429,
      message: `Too many wrong passwords. Try again in ${Math.ceil(state.msBeforeNext / 1000)} seconds.`,
    });
  }
}
