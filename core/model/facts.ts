/** What can be written down of a man on a snap beside his marks: what happened, never how it is judged. */
export const FACTS = {
  knockdown: { name: 'knockdown', short: 'KD', tells: 'His man was put on the ground and he stayed over him.' },
  'two-for-one': { name: 'two for one', short: '2/1', tells: 'One block kept two men from the ball.' },
  pressure: { name: 'pressure allowed', short: 'P', tells: 'His man made the quarterback move or hurry.' },
  hit: { name: 'hit allowed', short: 'H', tells: 'His man hit the quarterback.' },
  sack: { name: 'sack allowed', short: 'S', tells: 'His man had the quarterback down.' },
  loss: { name: 'tackle for loss allowed', short: 'L', tells: 'His man made the tackle behind the line.' },
  'made-the-play': { name: 'his man made the tackle', short: 'T', tells: 'His man made the tackle, gain or none.' },
  penalty: { name: 'penalty', short: 'F', tells: 'He was flagged.' },
  loaf: { name: 'loaf', short: 'LF', tells: 'He stopped before the whistle.' },
} as const satisfies Record<string, { name: string; short: string; tells: string }>;

export type FactId = keyof typeof FACTS;
export const FACT_IDS = Object.keys(FACTS) as [FactId, ...FactId[]];
