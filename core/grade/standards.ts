import { PHASES, type Phase } from '../model/phases';
import type { TechniqueSheet } from '../model/resolution';
import type { OwnFault } from '../model/faults';
import type { BlockId } from '../vocabulary/index';
import { LINE_BLOCKS } from './blocks/line';
import { PAIR_BLOCKS } from './blocks/pair';
import { PASS_BLOCKS } from './blocks/pass';
import { PULLS } from './blocks/pull';
import { SECOND_LEVEL_BLOCKS } from './blocks/second-level';
import type { BlockSheet } from './blocks/sheet';

/** The grading sheet of every block of the language. */
export const STANDARDS: Readonly<Record<BlockId, BlockSheet>> = {
  ...LINE_BLOCKS,
  ...PAIR_BLOCKS,
  ...SECOND_LEVEL_BLOCKS,
  ...PULLS,
  ...PASS_BLOCKS,
};

export const standardOf = (block: string): BlockSheet | null =>
  (STANDARDS as Record<string, BlockSheet>)[block] ?? null;

/** One part of a block as a man in his role is graded on it. */
export interface PhaseLine {
  readonly phase: Phase;
  readonly says: string;
}

/** The parts of a block in their order, as they are for a man of this role in a pair. */
export function phasesOf(block: string, role: TechniqueSheet['role']): PhaseLine[] {
  const sheet = standardOf(block);
  return PHASES.flatMap((phase) => {
    const words = sheet?.phases[phase];
    if (words === undefined) return [];
    if (typeof words === 'string') return [{ phase, says: words }];
    return [{ phase, says: role === 'outer' ? words.outer : words.inner }];
  });
}

/** Which faults are offered on keys: those the program has added for this block, then those the block is prone to. */
export function faultsOffered(block: string, own: readonly OwnFault[], keys: number): string[] {
  const added = own.filter((f) => f.blocks.includes(block)).map((f) => f.id);
  return [...added, ...(standardOf(block)?.faults ?? [])].slice(0, keys);
}
