import { ref } from 'vue';
import { describe, expect, it } from 'vitest';
import { HASH } from '#core/film/calibrate/field-marks';
import { A_SIZE, seenAt } from '#core/testing/a-calibration';
import { useMarking } from './marking';

const see = (side: -1 | 1, yard: number) => seenAt(side * HASH['high school'], yard * 3);
const start = () => useMarking(ref(A_SIZE), ref(23));

/** Clicks both hashes of two lines, as they are suggested. */
function four() {
  const marking = start();
  marking.yard.value = 35;
  for (const yard of [35, 40]) for (const side of [-1, 1] as const) marking.click(see(side, yard));
  return marking;
}

describe('naming field marks', () => {
  it('suggests the other hash of the line, then the next line', () => {
    const marking = four();
    expect(marking.marks.value.map((m) => `${m.yard} ${m.across}`)).toEqual([
      '35 left hash',
      '35 right hash',
      '40 left hash',
      '40 right hash',
    ]);
    expect([marking.yard.value, marking.across.value]).toEqual([45, 'left hash']);
  });
  it('finds the camera from four, shows where others must be, and names a click near one of them by itself', () => {
    const marking = four();
    expect(marking.found.value?.residual).toBeLessThan(1);
    const at = see(1, 50);
    expect(marking.expected.value.some((e) => e.yard === 50 && e.across === 'right hash')).toBe(true);
    marking.click({ x: at.x + 3, y: at.y - 2 });
    expect(marking.marks.value.at(-1)).toMatchObject({ yard: 50, across: 'right hash' });
    expect(marking.expected.value.some((e) => e.yard === 50 && e.across === 'right hash')).toBe(false);
  });
  it('believes the name that was chosen where lines crowd together', () => {
    const marking = four();
    marking.yard.value = 65;
    marking.across.value = 'left hash';
    const [at, beside] = [see(-1, 65), see(-1, 70)];
    marking.click({ x: (at.x + beside.x) / 2, y: (at.y + beside.y) / 2 });
    expect(marking.marks.value.at(-1)).toMatchObject({ yard: 65, across: 'left hash' });
  });
  it('replaces a mark that is clicked again, and takes one away', () => {
    const marking = four();
    const again = { x: see(-1, 35).x + 1, y: see(-1, 35).y };
    marking.yard.value = 35;
    marking.across.value = 'left hash';
    marking.ball.value = { x: 480, y: 300 };
    marking.click(again);
    expect(marking.marks.value).toHaveLength(4);
    marking.remove(marking.marks.value[0]!);
    expect(marking.marks.value).toHaveLength(3);
    expect(marking.found.value).toBeNull();
  });
  it('works the camera out once, whatever frame is shown, and keeps the frame it is kept on', () => {
    const frame = ref(23);
    const marking = useMarking(ref(A_SIZE), frame);
    for (const yard of [35, 40])
      for (const side of [-1, 1] as const) {
        [marking.yard.value, marking.across.value] = [yard, side < 0 ? 'left hash' : 'right hash'];
        marking.click(see(side, yard));
      }
    marking.ball.value = { x: 480, y: 300 };
    const before = marking.found.value;
    frame.value = 24;
    expect(marking.found.value).toBe(before);
    expect(marking.input.value?.frame).toBe(24);
  });
  it('gives something to keep only with the ball', () => {
    const marking = four();
    expect(marking.input.value).toBeNull();
    marking.ball.value = { x: 480, y: 300 };
    expect(marking.input.value).toMatchObject({ ...A_SIZE, frame: 23, field: 'high school' });
  });
  it('begins from a camera that was kept, and from nothing', () => {
    const marking = four();
    marking.ball.value = { x: 480, y: 300 };
    const kept = { ...marking.found.value!, ball: marking.ball.value, field: 'college' as const };
    const other = start();
    other.begin(kept);
    expect([other.marks.value.length, other.field.value, other.ball.value]).toEqual([4, 'college', kept.ball]);
    other.begin(null);
    expect([other.marks.value, other.ball.value]).toEqual([[], null]);
  });
});
