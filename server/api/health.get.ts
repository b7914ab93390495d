import { database } from '../db/database';

export default defineEventHandler(async () => {
  await (await database()).query('select 1');
  return { ready: true };
});
