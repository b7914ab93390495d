/** How long a log-in lasts, seconds; the cookie that names it as well. */
export const SESSION_SECONDS = 60 * 60 * 24 * 14;
