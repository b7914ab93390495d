import type { Resolution } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { SchemeTree } from '../language/tree';
import { BLOCKS, type BlockId } from '../vocabulary/index';

type Level = Settings['levelOfPlay'];

export interface Caution {
  readonly id: string;
  /** Who is concerned, on a board; the blocks, on a sheet. */
  readonly who: readonly string[];
  readonly says: string;
}

const RULES: Record<Level, string> = {
  youth: 'At youth level such blocks are forbidden by many rule books',
  school: 'School rule books allow such blocks only in places or not at all',
  adult: 'Rule books differ on where and when such a block is legal',
};
const ASK = 'Read your own rule book and ask your governing body before you teach it; this is no rule.';

const careOf = (block: string): 'low' | 'blind' | null => BLOCKS[block as BlockId]?.care ?? null;
const isLow = (block: string): boolean => careOf(block) === 'low';
const isBlind = (block: string): boolean => careOf(block) === 'blind';

const about = {
  low: (level: Level): string =>
    `Below the waist: knees and ankles are at risk, his and your own. ${RULES[level]}. ${ASK}`,
  blind: (level: Level): string =>
    `He may not see it coming: shoulder in front, never the head, never from behind. ${RULES[level]}. ${ASK}`,
  'low-high': (level: Level): string =>
    `One high and one low on one man breaks legs. ${RULES[level]}; leave one of the two out. ${ASK}`,
} as const;

/** What to be careful with in a play as worked out: men by name. The advice defers to the local rule book and is no law. */
export function cautionsFor(resolution: Pick<Resolution, 'assignments'>, level: Level): Caution[] {
  const men = (test: (block: string) => boolean): string[] =>
    resolution.assignments.filter((a) => test(a.block)).map((a) => a.blocker);
  const [low, blind] = [men(isLow), men(isBlind)];
  const chopped = resolution.assignments.filter(
    (a) =>
      isLow(a.block) &&
      resolution.assignments.some((o) => o !== a && !isLow(o.block) && o.target !== null && o.target === a.target),
  );
  return [
    ...(low.length ? [{ id: 'low', who: low, says: about.low(level) }] : []),
    ...(blind.length ? [{ id: 'blind', who: blind, says: about.blind(level) }] : []),
    ...(chopped.length ? [{ id: 'low-high', who: chopped.map((a) => a.blocker), says: about['low-high'](level) }] : []),
  ];
}

/** The same for a rule sheet: which of its blocks ask for care. */
export function cautionsOfSheet(tree: Pick<SchemeTree, 'sheets'>, level: Level): Caution[] {
  const used = new Set(tree.sheets.flatMap((s) => s.sentences.flatMap((x) => x.actions.map((a) => a.block.word))));
  const named = (test: (block: string) => boolean): string[] =>
    [...used].filter(test).map((b) => BLOCKS[b as BlockId].name.toLowerCase());
  const [low, blind] = [named(isLow), named(isBlind)];
  return [
    ...(low.length ? [{ id: 'low', who: low, says: about.low(level) }] : []),
    ...(blind.length ? [{ id: 'blind', who: blind, says: about.blind(level) }] : []),
  ];
}
