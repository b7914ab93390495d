import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MotionReader } from './motion-reader';

const PIXELS = 6;
const picture = fc.uint8Array({ minLength: PIXELS, maxLength: PIXELS });

describe('the motion of pictures', () => {
  it('is the mean difference to the one before, in whatever pieces they come', () => {
    fc.assert(
      fc.property(fc.array(picture, { maxLength: 8 }), fc.array(fc.integer({ min: 1, max: 9 })), (pictures, sizes) => {
        const all = Uint8Array.from(pictures.flatMap((p) => [...p]));
        const reader = new MotionReader(PIXELS);
        let at = 0;
        for (const size of sizes) {
          reader.take(all.subarray(at, at + size));
          at += size;
        }
        reader.take(all.subarray(Math.min(at, all.length)));
        const expected = pictures.map((p, i) =>
          i === 0 ? 0 : p.reduce((sum, v, j) => sum + Math.abs(v - pictures[i - 1]![j]!), 0) / PIXELS,
        );
        expect(reader.values).toEqual(expected.map((v) => expect.closeTo(v, 2)));
      }),
    );
  });

  it('leaves out a picture that is not whole', () => {
    const reader = new MotionReader(PIXELS);
    reader.take(new Uint8Array(PIXELS + 2));
    expect(reader.values).toEqual([0]);
  });
});
