import { endSession } from '../session/sessions';

export default defineEventHandler(async (event) => {
  await endSession((await getUserSession(event)).secure?.session);
  await clearUserSession(event);
  return { loggedOut: true };
});
