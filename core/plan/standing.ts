import type { BlockRecord } from '../model/block-record';
import { shrunk, type Counted } from '../statistics/shrink';
import type { Demand } from './demand';

/** Without a single grade, so much is expected to be done right; an assumption that the first grades outweigh. */
const EXPECTED = 0.75;

/** One man and one block the week asks him for, with how he stands at it. */
export interface Standing extends Demand {
  readonly playerId: number;
  readonly record: BlockRecord;
  /** How likely he does it right: his own counts, drawn toward everybody's at this block and at all of them. */
  readonly expected: number;
  /** What the week has to lose there: times asked, times how likely it is lost, times what it costs; yards. */
  readonly weight: number;
}

/** What a lost block costs at least where the play stands it, yards: a habit is paid for elsewhere. */
const LEAST_COST = 0.5;

/**
 * How every man stands to what is asked of his place, the heaviest first. `whoAt` says who plays a place; a place nobody plays is left out.
 */
export function standingsOf(
  demands: readonly Demand[],
  records: readonly BlockRecord[],
  whoAt: (seat: string) => number | null,
): Standing[] {
  const everything = shrunk(sumOf(records), EXPECTED);
  const atBlock = new Map<string, number>();
  const usual = (block: string): number => {
    let rate = atBlock.get(block);
    if (rate === undefined)
      atBlock.set(block, (rate = shrunk(sumOf(records.filter((r) => r.block === block)), everything)));
    return rate;
  };
  return demands
    .flatMap((demand): Standing[] => {
      const playerId = whoAt(demand.seat);
      if (playerId === null) return [];
      const { block } = demand;
      const record = records.find((r) => r.playerId === playerId && r.block === block) ?? {
        ...{ playerId, block, good: 0, of: 0, faults: [] },
      };
      const expected = shrunk(record, usual(block));
      const weight = demand.times * (1 - expected) * Math.max(LEAST_COST, demand.costs);
      return [{ ...demand, playerId, record, expected, weight }];
    })
    .sort((a, b) => b.weight - a.weight || (a.seat < b.seat ? -1 : 1));
}

const sumOf = (counts: readonly Counted[]): Counted => ({
  good: counts.reduce((sum, c) => sum + c.good, 0),
  of: counts.reduce((sum, c) => sum + c.of, 0),
});

/** The one number of a man's week: the block with most to lose; of one who is asked for nothing there is none. */
export const numberOf = (standings: readonly Standing[], seat: string): Standing | null =>
  standings.filter((s) => s.seat === seat).reduce<Standing | null>((a, b) => (a && a.weight >= b.weight ? a : b), null);
