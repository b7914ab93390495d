/** The parts of a block in the order in which they happen; which of them a block has is its own sheet's matter. */
export const PHASES = ['start', 'fit', 'drive', 'hand-over', 'finish'] as const;
export type Phase = (typeof PHASES)[number];
