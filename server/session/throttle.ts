import type { H3Event } from 'h3';
import type { Sequelize } from 'sequelize';
import { database } from '../db/database';
import { limitsOn, type Limits } from './limits';

let kept: { db: Sequelize; limits: Limits } | null = null;
async function limits(): Promise<Limits> {
  const db = await database();
  if (kept?.db !== db) kept = { db, limits: limitsOn(db) };
  return kept.limits;
}

/** Behind a proxy of one's own everybody comes from the proxy: only then is believed what it says of them. */
const machine = (event: H3Event): string =>
  getRequestIP(event, { xForwardedFor: useRuntimeConfig().trustProxy }) ?? 'unknown';
const plain = (what: string): string => what.trim().toLowerCase();

/** Counts a try at something that can be guessed; 429 with the seconds to wait. */
export async function takeTry(event: H3Event, what: string): Promise<void> {
  const wait = await (await limits()).take(machine(event), plain(what));
  if (wait === null) return;
  const seconds = Math.ceil(wait / 1000);
  setResponseHeader(event, 'Retry-After', seconds);
  throw createError({ statusCode: 429, message: `Too many tries. Try again in ${seconds} seconds.` });
}

/** Whoever got in has not been guessing. */
export const forgetTries = async (event: H3Event, what: string): Promise<void> =>
  (await limits()).forget(machine(event), plain(what));
