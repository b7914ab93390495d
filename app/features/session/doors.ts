/** Where nobody needs to be logged in. */
export const DOORS: readonly string[] = ['/login', '/begin', '/join', '/reset'];
