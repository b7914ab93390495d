import type { Drill } from '../model/drill';

/** How a number of men gets through a drill. */
export interface Throughput {
  /** Groups at work at the same time; 0 when there are too few men for one. */
  readonly groups: number;
  /** Reps a minute of each man. */
  readonly repsPerMinute: number;
  /** Share of the time a man stands and waits; who holds a bag does not wait. */
  readonly waits: number;
}

/** How many reps `men` get in a drill: everybody takes turns at the rep and at holding for the others. */
export function throughput(
  { each, extras, atOnce, pace }: Pick<Drill, 'each' | 'extras' | 'atOnce' | 'pace'>,
  men: number,
): Throughput {
  const groups = Math.min(atOnce ?? Infinity, Math.floor(men / (each + extras)));
  if (groups === 0) return { groups: 0, repsPerMinute: 0, waits: 1 };
  return { groups, repsPerMinute: (pace * groups * each) / men, waits: 1 - (groups * (each + extras)) / men };
}
