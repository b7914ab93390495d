/** Headers that are of one answer and never go out with another: whose it was, its number, when and over which connection it went. */
export const OF_ONE_ANSWER: readonly string[] = [
  // Nobody is given what somebody else was to keep.
  'set-cookie',
  'x-request-id',
  'date',
  'connection',
  'keep-alive',
  'transfer-encoding',
];
