import { endSession } from '../session/sessions';

export default defineEventHandler(async (event) => {
  await endSession((await getUserSession(event)).secure?.session);
  await clearUserSession(event);
  // Film and answers the browser has kept are nobody's on this machine from now on.
  setResponseHeader(event, 'Clear-Site-Data', '"cache"');
  return { loggedOut: true };
});
