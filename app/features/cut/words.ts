import { inSentence } from '#core/vocabulary/in-sentence';
import { CUT_FIELDS, type CutField } from '#core/film/log/cut-fields';
import type { Cut } from '#core/film/log/cut';
import { faultName } from '#core/model/faults';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { schemeName } from '~/features/board/scheme-names';
import { QUARTERS } from '~/features/snap/words';

/** How the values of a field are said, where they are not words already. */
const SAY: Partial<Record<CutField, (value: string) => string>> = {
  play: (id) => inSentence(schemeName(id)),
  block: (id) => (BLOCKS[id as BlockId]?.name ?? id).toLowerCase(),
  fault: (id) => faultName(id),
  quarter: (n) => QUARTERS[Number(n) - 1] ?? n,
  series: (n) => `series ${n}`,
  hash: (side) => (side === 'middle' ? 'middle of the field' : `${side} hash`),
  side: (side) => `to the ${side}`,
  distance: (words) => `${words} distance`,
  front: (name) => inSentence(name),
  from: (name) => `from ${inSentence(name)}`,
  with: (man) => `together with ${man}`,
  counted: (word) => (word === 'yes' ? 'counted' : 'not counted'),
};

export const sayValue = (key: CutField, value: string): string => SAY[key]?.(value) ?? value;

/** One field of a cut as a word of it: "power or duo". */
export const sayField = (key: CutField, values: readonly string[]): string =>
  values.map((v) => sayValue(key, v)).join(' or ');

/** A whole cut: "power, against odd, 3rd quarter". */
export const sayCut = (cut: Cut): string =>
  (Object.keys(CUT_FIELDS) as CutField[]).flatMap((key) => (cut[key] ? [sayField(key, cut[key])] : [])).join(', ');
