/** When a call is made, in the order in which a call sheet lists it; adding one is one line. */
export const CALL_SITUATIONS = {
  first: 'First down',
  'second long': 'Second and long',
  short: 'Short to go',
  'third long': 'Third and long',
  'red zone': 'Inside their twenty',
  'goal line': 'At the goal line',
  backed: 'Backed up at our own goal',
  'two minutes': 'The last two minutes',
} as const;
export type CallSituation = keyof typeof CALL_SITUATIONS;
export const CALL_SITUATION_IDS = Object.keys(CALL_SITUATIONS) as [CallSituation, ...CallSituation[]];
