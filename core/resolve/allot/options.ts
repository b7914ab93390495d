import { lessThan, moreThan } from '../../geometry/compare';
import { CLIMB_REACH } from '../../geometry/tolerances';
import type { Accept } from '../../vocabulary/word';
import { NOBODY } from '../../vocabulary/scene';
import type { Settled } from '../settle/settled';
import { wayTo, type Job } from './jobs';

/** Somebody a job may have. */
export interface Option {
  readonly defender: number;
  /** Place in the order the sentence's own words give; the same for all where they give none. */
  readonly rank: number;
  /** Which action of the sentence names him. */
  readonly action: number;
  readonly inBox: boolean;
  /** His own words name the man, in an order of theirs. */
  readonly said: boolean;
  /** Feet to the side, of whoever of the job is nearer. */
  readonly way: number;
}

/** Ranks apart from one action of an else-chain to the next, and of whoever no word of the sentence names. */
const PER_ACTION = 100;
const UNSAID = 2_000;
/** Better than somebody no word names, worse than anybody they do. */
export const NOBODY_RANK = 1_000;

/**
 * Everybody a job may have besides those named outright: whom its own words name; every linebacker of the box; and for a spare end man those
 * outside the box on his side. Whoever does not run a way of his own goes nobody farther than a climb reaches.
 */
export function optionsOf(settled: Settled, job: Job, from: number, taken: readonly boolean[]): Option[] {
  const { scene } = settled;
  const options: Option[] = [];
  const plain = job.wishes[from]!.finder.claim === 'matched';
  const add = (defender: number, rank: number, action: number): void => {
    const way = wayTo(settled, job, defender);
    if (job.kind !== 'errand' && !lessThan(way, CLIMB_REACH)) return;
    options.push({
      defender,
      rank,
      action,
      inBox: scene.linebackers.includes(defender),
      said: rank < UNSAID && !plain,
      way,
    });
  };
  const isNew = (d: number): boolean => !taken[d] && !options.some((o) => o.defender === d);
  for (let w = from; w < job.wishes.length; w++) {
    const { finder, action } = job.wishes[w]!;
    const passed: number[] = [];
    const next: Accept = (_scene, _man, _him, d) => !taken[d] && !passed.includes(d);
    for (let place = 0; ; place++) {
      const found = finder.seek(scene, job.man, job.him, next);
      if (found === NOBODY) break;
      passed.push(found);
      if (isNew(found)) add(found, (w - from) * PER_ACTION + place, action);
      if (finder.claim === 'named') break;
    }
  }
  const action = job.wishes[from]!.action;
  const { kind } = scene.men[job.man]!;
  if (kind !== 'wide' && kind !== 'slot' && !job.wishes[from]!.finder.picky) {
    for (const [place, d] of scene.linebackers.entries()) if (isNew(d)) add(d, plain ? 0 : UNSAID + place, action);
  }
  if (job.kind === 'end') {
    const side = moreThan(job.from, 0) ? 'playside' : 'backside';
    for (const d of scene.edge[side].overhangs) if (isNew(d)) add(d, plain ? 0 : UNSAID, action);
  }
  return options;
}
