import { YARD } from '../../geometry/units';
import type { Across, FieldMark, FieldType, Space } from '../../model/calibration';

/** Half the width of every field, feet: 53 1/3 yards. */
export const HALF_WIDTH = 80;

/** Feet from the middle of the field to the middle of a hash mark, by the paint of each kind of field. */
export const HASH: Readonly<Record<FieldType, number>> = {
  youth: 80 / 3,
  'high school': 80 / 3,
  college: 20,
  professional: 9.25,
};

/** Feet from the middle of the field, to the right; `null` where a mark may be anywhere on its line. */
export function acrossFeet(across: Across, field: FieldType): number | null {
  switch (across) {
    case 'left sideline':
      return -HALF_WIDTH;
    case 'left hash':
      return -HASH[field];
    case 'right hash':
      return HASH[field];
    case 'right sideline':
      return HALF_WIDTH;
    case 'anywhere':
      return null;
  }
}

/** Where a mark lies on the field: `x` is `null` when it may be anywhere along its line. Feet. */
export const placeOfMark = (
  mark: Pick<FieldMark, 'yard' | 'across'>,
  field: FieldType,
): { x: number | null; y: number } => ({
  x: acrossFeet(mark.across, field),
  y: mark.yard * YARD,
});

/** A yard line as a coach reads it off the paint: 35 before midfield and after it. */
export const paintedYard = (yard: number): number => (yard <= 50 ? yard : 100 - yard);

/** Lines to draw over a picture so that an eye can check a calibration: every five yards, hashes, sidelines. Feet. */
export function fieldLines(field: FieldType, around: { y: number }): { from: Space; to: Space }[] {
  const first = Math.max(0, Math.ceil((around.y - 45) / (5 * YARD)) * 5 * YARD);
  const last = Math.min(100 * YARD, around.y + 120);
  const lines: { from: Space; to: Space }[] = [];
  for (let y = first; y <= last; y += 5 * YARD)
    lines.push({ from: { x: -HALF_WIDTH, y, z: 0 }, to: { x: HALF_WIDTH, y, z: 0 } });
  for (const x of [-HALF_WIDTH, -HASH[field], HASH[field], HALF_WIDTH])
    lines.push({ from: { x, y: first, z: 0 }, to: { x, y: last, z: 0 } });
  return lines;
}
