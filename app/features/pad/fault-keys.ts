/** Keys of the likeliest faults of the selected man's block, in the order shown; with shift they are the parts of the block. */
export const FAULT_KEYS = ['a', 's', 'd', 'f', 'g', 'h'] as const;
export const PHASE_KEYS = ['A', 'S', 'D', 'F', 'G'] as const;
