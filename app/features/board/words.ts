import type { Assignment } from '#core/model/resolution';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';

/** What the engine worked out, in the words of the columns. */
export const blockName = (a: Assignment): string => {
  const name = BLOCKS[a.block as BlockId]?.name ?? a.block;
  if (a.partners.length && a.help === 'hand') return `${name}, one hand`;
  if (a.partners.length && BLOCKS[a.block as BlockId]?.role !== 'pair') return `${name}, in pair`;
  return name;
};

const ROLES = { inner: 'inner', outer: 'outer', third: 'middle' } as const;
/** His part in a pair as the board says it; `null` for a man on his own. */
export const partOf = (a: Assignment): string | null => {
  const role = a.technique?.role ?? 'alone';
  return role === 'alone' || a.partners.length === 0 ? null : ROLES[role];
};

export const stepWords = (a: Assignment): string =>
  `${a.step.foot[0]!.toUpperCase()}${a.step.foot.slice(1)}, ${a.step.kind}`;
export const upperFirst = (text: string): string => (text ? text[0]!.toUpperCase() + text.slice(1) : text);
