import { DIMENSIONS, DIMENSION_IDS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { SPREAD, SPREAD_PARTS, type SpreadPart } from '#core/grade/book/spread';
import { sayYard } from '#core/grade/book/play-result';
import { findRubric } from '#core/grade/rubrics/index';
import { CONSEQUENCES } from '#core/model/grade';
import { FACTS, type FactId } from '#core/model/facts';
import { faultName } from '#core/model/faults';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { schemeName } from '~/features/board/scheme-names';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';

const ORDINALS = ['1st down', '2nd down', '3rd down', '4th down'];

/** How a value of a dimension is said; the others are said as they are. */
const SAID: Partial<Record<Dimension, (key: string) => string>> = {
  play: (key) => {
    const [scheme, side] = key.split(/ (?=\w+$)/) as [string, string];
    return `${schemeName(scheme)} ${side}`;
  },
  block: (key) => BLOCKS[key as BlockId]?.name ?? key,
  fault: (key) => faultName(key, usePlaybook().program.faults),
  fact: (key) => FACTS[key as FactId]?.name ?? key,
  down: (key) => ORDINALS[Number(key) - 1] ?? key,
  yard: (key) => sayYard(Number(key)),
  earned: (key) => SPREAD[key as SpreadPart]?.name ?? key,
  quarter: (key) => (key === '5' ? 'overtime' : `quarter ${key}`),
  rubric: (key) => findRubric(key)?.name ?? key,
};

/** What a line is of, in words. */
export const sayKey = (by: Dimension, { key, label }: { key: string; label: string }): string =>
  upperFirst(SAID[by]?.(key) ?? label);

/** The dimensions a filter narrows by, in their order. */
export const narrowedBy = (filter: BookFilter): Dimension[] => DIMENSION_IDS.filter((key) => filter[key]);

/** What is counted, in a sentence without its full stop: "Grades by man". */
export const sayBy = (by: Dimension): string => `by ${DIMENSIONS[by].name}`;

/** The places of the line in their order, wherever lines are of places. */
const LINE_ORDER = ['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'H', 'F', 'B'];
const IN_ORDER: Partial<Record<Dimension, (key: string) => number>> = {
  place: (key) => (LINE_ORDER.indexOf(key) + 100) % 100,
  down: Number,
  quarter: Number,
  yard: Number,
  earned: (key) => (SPREAD_PARTS as string[]).indexOf(key),
  consequence: (key) => (CONSEQUENCES as readonly string[]).indexOf(key),
  game: Number,
  season: Number,
};

/** Lines in the order in which they are read: where a dimension has one of its own that, else the most marks first. */
export function inOrder<T extends { key: string }>(by: Dimension, lines: readonly T[]): T[] {
  const order = IN_ORDER[by];
  return order ? [...lines].sort((a, b) => order(a.key) - order(b.key)) : [...lines];
}
