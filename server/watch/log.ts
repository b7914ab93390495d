import pino, { type Logger } from 'pino';
import { Counter } from 'prom-client';
import { metrics } from './metrics';

/** So much of the log waits for whoever reads it, bytes; what comes beyond is dropped and counted, so that a reader who has stopped takes no memory. */
const MOST_WAITING = 1 << 20;

const STDOUT = 1;

const dropped = new Counter({
  name: 'chalk_log_lines_dropped_total',
  help: 'Lines of the log that nobody read in time',
  registers: [metrics],
});

/** A log into an open file, a line of JSON an event. Written beside the work: a slow reader holds nobody up. */
export function logInto(fd: number, onDrop: () => void): Logger {
  const into = pino.destination({ fd, sync: false, maxLength: MOST_WAITING });
  into.on('drop', onDrop);
  return pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime, level: process.env.LOG_LEVEL ?? 'info' }, into);
}

/** The log of this process. */
export const log = logInto(STDOUT, () => dropped.inc());
