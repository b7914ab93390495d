import { bitOf, has } from '../../geometry/bits';
import { lessThan, moreThan } from '../../geometry/compare';
import { CLIMB_REACH, LATERAL_REACH } from '../../geometry/tolerances';
import type { Accept } from '../../vocabulary/word';
import { NOBODY } from '../../vocabulary/scene';
import type { Settled } from '../settle/settled';
import { isOutOfReach, wayTo, type Job } from './jobs';

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
export function optionsOf(settled: Settled, job: Job, from: number, taken: readonly boolean[]): readonly Option[] {
  const { scene } = settled;
  const { wishes, kind, man } = job;
  const { finder: first, action } = wishes[from]!;
  const isPlain = first.claim === 'matched';
  const options: Option[] = [];
  /** Whoever has been looked at already, in reach or not: a bit for each. */
  let seen = 0;
  const add = (defender: number, rank: number, by: number, said: boolean): void => {
    if (taken[defender] || has(seen, defender)) return;
    seen |= bitOf(defender);
    const way = wayTo(settled, job, defender);
    if (kind !== 'errand' ? !lessThan(way, CLIMB_REACH) : isOutOfReach(settled, job, defender)) return;
    options.push({ defender, rank, action: by, inBox: scene.linebackers.includes(defender), said, way });
  };
  const who = scene.men[man]!.kind;
  const anyBacker = who !== 'wide' && who !== 'slot' && !first.picky;
  if (isPlain && anyBacker) for (const d of scene.linebackers) add(d, 0, action, false);
  if (!isPlain || wishes.length > from + 1) {
    const isNew: Accept = (_scene, _man, _him, d) => !taken[d] && !has(seen, d);
    for (let w = from; w < wishes.length; w++) {
      const { finder, action: by } = wishes[w]!;
      let rank = (w - from) * PER_ACTION;
      if (finder.list) {
        for (const d of finder.list(scene, man, job.him)) if (isNew(scene, man, job.him, d)) add(d, rank++, by, true);
        continue;
      }
      for (;;) {
        const found = finder.seek(scene, man, job.him, isNew);
        if (found === NOBODY) break;
        add(found, rank++, by, true);
        if (finder.claim === 'named') break;
      }
    }
  }
  if (!isPlain && anyBacker)
    for (let place = 0; place < scene.linebackers.length; place++)
      add(scene.linebackers[place]!, UNSAID + place, action, false);
  if (kind === 'end') {
    const side = moreThan(job.from, 0) ? 'playside' : 'backside';
    for (const d of scene.edge[side].overhangs) add(d, isPlain ? 0 : UNSAID, action, false);
  }
  return options;
}

/** For a lineman whose own words are spent: the linebackers of the box beside him. */
export function backersFor(settled: Settled, job: Job, taken: readonly boolean[]): readonly Option[] {
  const { scene } = settled;
  const { action } = scene.proposals[job.man]!;
  const options: Option[] = [];
  for (let place = 0; place < scene.linebackers.length; place++) {
    const defender = scene.linebackers[place]!;
    const way = wayTo(settled, job, defender);
    if (taken[defender] || moreThan(way, LATERAL_REACH)) continue;
    options.push({ defender, rank: UNSAID + place, action, inBox: true, said: false, way });
  }
  return options;
}
