import { database } from '../db/database';
import { isNowOpen } from '../opening';

/** Ready once everything requests stand on is there; 503 before, so that whoever waits for it does not come too early. */
export default defineEventHandler(async () => {
  if (!isNowOpen()) throw createError({ statusCode: 503, message: 'The application is still opening.' });
  await (await database()).query('select 1');
  return { ready: true };
});
