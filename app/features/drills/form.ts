import { DrillSchema, type Drill } from '#core/model/drill';

/** A drill as it is typed: lists as lines or with commas between. */
export interface DrillText {
  name: string;
  purpose: string;
  ladder: string;
  equipment: string;
  each: number;
  extras: number;
  atOnce: number | '';
  least: number;
  usual: number;
  pace: number;
}

export const textOfDrill = (d: Drill): DrillText => ({
  ...{ name: d.name, purpose: d.purpose, ladder: d.ladder.join('\n'), equipment: d.equipment.join(', ') },
  ...{ each: d.each, extras: d.extras, atOnce: d.atOnce ?? '', pace: d.pace },
  ...{ least: d.minutes.least, usual: d.minutes.usual },
});

const listed = (text: string, between: RegExp): string[] =>
  text
    .split(between)
    .map((t) => t.trim())
    .filter(Boolean);

/** Reads what was typed over a drill, or says which field is wrong and why. */
export function drillOfText(
  before: Drill,
  id: string,
  text: DrillText,
  chosen: Pick<Drill, 'contact' | 'blocks' | 'faults' | 'units'>,
): { drill: Drill | null; problem: string } {
  const read = DrillSchema.safeParse({
    ...before,
    ...chosen,
    id,
    ...{ name: text.name, purpose: text.purpose, each: text.each, extras: text.extras, pace: text.pace },
    ladder: listed(text.ladder, /\n/),
    equipment: listed(text.equipment, /,/),
    atOnce: text.atOnce === '' ? null : text.atOnce,
    minutes: { least: text.least, usual: text.usual },
  });
  if (read.success && read.data.minutes.least > read.data.minutes.usual)
    return { drill: null, problem: 'The least minutes are more than the usual ones. Nothing was kept.' };
  if (read.success) return { drill: read.data, problem: '' };
  const [issue] = read.error.issues;
  return { drill: null, problem: `${issue!.path.join(' ') || 'drill'}: ${issue!.message}. Nothing was kept.` };
}
