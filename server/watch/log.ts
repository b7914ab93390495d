import pino from 'pino';

/** The log of this process, a line of JSON an event. */
export const log = pino({
  base: null,
  timestamp: pino.stdTimeFunctions.isoTime,
  level: process.env.LOG_LEVEL ?? 'info',
});
