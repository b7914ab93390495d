import * as z from 'zod';

/** How much of what a mark could earn it did earn, by its rubric: all of it down to nothing, and marks that nobody could give. */
export const SPREAD = {
  all: { name: 'all of it' },
  more: { name: 'half and more' },
  less: { name: 'less than half' },
  nothing: { name: 'nothing' },
  open: { name: 'could not be told' },
} as const satisfies Record<string, { name: string }>;
export type SpreadPart = keyof typeof SPREAD;
export const SPREAD_PARTS = Object.keys(SPREAD) as [SpreadPart, ...SpreadPart[]];

/** How many marks earned how much. */
export const SpreadSchema = z.record(z.enum(SPREAD_PARTS), z.int());
export type Spread = z.infer<typeof SpreadSchema>;

/** Weights are sums of parts: this near to all of it is all of it. */
export const NEARLY = 1e-4;

/** In which part a mark stands. */
export function spreadOf(earned: number, possible: number): SpreadPart {
  if (possible <= 0) return 'open';
  if (earned >= possible - NEARLY) return 'all';
  if (earned <= NEARLY) return 'nothing';
  return earned >= possible / 2 - NEARLY ? 'more' : 'less';
}

/** Several counted together. */
export const sumOfSpreads = (all: readonly Spread[]): Spread =>
  Object.fromEntries(SPREAD_PARTS.map((part) => [part, all.reduce((sum, one) => sum + one[part], 0)])) as Spread;

/** The same in words: "Anselm Rook: all of it 31, nothing 4"; parts nobody is in are left out. */
export function saySpread(label: string, spread: Spread): string {
  const parts = SPREAD_PARTS.filter((part) => spread[part] > 0).map((part) => `${SPREAD[part].name} ${spread[part]}`);
  return `${label}: ${parts.join(', ')}`;
}
