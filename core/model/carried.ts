/** The name of the mark of a page that was given to somebody who carries a log-in: what his place needs may be asked for before he is known. */
export const CARRIES_LOG_IN = 'carries-log-in';
