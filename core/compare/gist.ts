import type { Assignment } from '../model/resolution';

/** What a man is asked to do, short enough to compare: block, man, whom he goes on to. */
export const gistOf = (a: Pick<Assignment, 'block' | 'target' | 'next'> | null | undefined): string =>
  a ? `${a.block} ${a.target} ${a.next}` : 'nothing';
