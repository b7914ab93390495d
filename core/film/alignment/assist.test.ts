import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aCalibration, seenAt } from '../../testing/a-calibration';
import { feetNear, framesElsewhere, scaleOnGround, type Colours } from './assist';

/** Pixels a foot. */
const SCALE = 16;
const [WIDTH, HEIGHT] = [320, 240];
type Rgb = readonly [number, number, number];
const TURF: Rgb = [52, 110, 62];
const SHADOW: Rgb = [31, 66, 37];
const SHIRT: Rgb = [80, 40, 130];
const PANTS: Rgb = [225, 220, 235];

/** A picture of turf that is never quite the same colour, with boxes drawn on it in their order. */
function picture(...boxes: { left: number; top: number; wide: number; high: number; colour: Rgb }[]): Colours {
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const box = boxes.findLast((b) => x >= b.left && x < b.left + b.wide && y >= b.top && y < b.top + b.high);
      const grain = ((x * 7 + y * 13) % 9) - 4;
      data.set([...(box?.colour ?? TURF).map((c) => c + grain), 255], 4 * (y * WIDTH + x));
    }
  return { width: WIDTH, height: HEIGHT, data };
}
/** A man whose feet are at a place: shirt over pants, a shadow in front of him. */
const man = (x: number, y: number) => [
  { left: x - 18, top: y - 6, wide: 36, high: 12, colour: SHADOW },
  { left: x - 15, top: y - 80, wide: 30, high: 45, colour: SHIRT },
  { left: x - 12, top: y - 36, wide: 24, high: 38, colour: PANTS },
];
const FEET = { x: 160, y: 140 };
const off = (p: { x: number; y: number } | null, feet = FEET): number =>
  p === null ? Infinity : Math.hypot(p.x - feet.x, p.y - feet.y) / SCALE;

describe('a click near a man’s feet', () => {
  it('goes to them from every side, and no farther off than a fraction of a foot', () => {
    const drawn = picture(...man(FEET.x, FEET.y));
    const aside = fc.integer({ min: -4, max: 4 });
    fc.assert(
      fc.property(aside, aside, (dx, dy) => {
        const click = { x: FEET.x + dx, y: FEET.y + dy };
        expect(off(feetNear(drawn, click, SCALE) ?? click)).toBeLessThan(0.2);
      }),
    );
  });

  it('goes to the middle of somebody who stands wide, from either side', () => {
    const wide = picture(
      ...[-17, 9].map((left) => ({ left: FEET.x + left, top: FEET.y - 36, wide: 8, high: 38, colour: PANTS })),
    );
    for (const aside of [6, -6])
      expect(off(feetNear(wide, { x: FEET.x + aside, y: FEET.y }, SCALE))).toBeLessThan(0.08);
  });

  it('goes to feet that are too dark to have a colour, whether the ground was seen or not', () => {
    const black = [{ left: FEET.x - 12, top: FEET.y - 36, wide: 24, high: 38, colour: [10, 21, 12] as const }];
    const click = { x: FEET.x + 5, y: FEET.y };
    for (const others of [[], [picture(), picture(), picture()]])
      expect(off(feetNear(picture(...black), click, SCALE, others))).toBeLessThan(0.1);
  });

  it('is less drawn to who stands beside him the more often his middle is looked for', () => {
    const two = picture(...man(FEET.x, FEET.y), ...man(FEET.x + 37, FEET.y));
    const click = { x: FEET.x + 7, y: FEET.y };
    expect(off(feetNear(two, click, SCALE) ?? click)).toBeLessThan(0.15);
  });

  it('stays where it is when it is there already: a careful hand is surer than colours', () => {
    const drawn = picture(...man(FEET.x, FEET.y));
    const found = feetNear(drawn, { x: FEET.x + 4, y: FEET.y + 3 }, SCALE)!;
    expect(feetNear(drawn, { x: found.x + 1, y: found.y - 1 }, SCALE)).toBeNull();
  });

  it('stays where it is on empty turf, in a shadow, on a line of the field, and at the edge of the picture', () => {
    const empty = picture(
      { left: 0, top: 128, wide: WIDTH, high: 6, colour: [240, 240, 240] },
      { left: 40, top: 60, wide: 30, high: 20, colour: SHADOW },
    );
    for (const click of [
      FEET,
      { x: 160, y: 131 },
      { x: 160, y: 127 },
      { x: 55, y: 70 },
      { x: 2, y: 140 },
      { x: 160, y: 238 },
    ])
      expect(feetNear(empty, click, SCALE)).toBeNull();
  });

  it('stays where somebody stands in front of his feet', () => {
    const hidden = picture(...man(FEET.x, FEET.y), ...man(FEET.x + 4, FEET.y + 40));
    expect(feetNear(hidden, FEET, SCALE)).toBeNull();
  });

  it('is not taken to feet that are farther off than a hand slips', () => {
    const drawn = picture(...man(FEET.x, FEET.y));
    for (const away of [12, -12]) expect(feetNear(drawn, { x: FEET.x, y: FEET.y + away }, SCALE)).toBeNull();
  });

  it('finds the feet of two who stand side by side each for himself', () => {
    const two = picture(...man(130, 140), ...man(196, 138));
    expect(off(feetNear(two, { x: 133, y: 143 }, SCALE), { x: 130, y: 140 })).toBeLessThan(0.15);
    expect(off(feetNear(two, { x: 193, y: 135 }, SCALE), { x: 196, y: 138 })).toBeLessThan(0.15);
  });

  it('goes to feet in the colour of the ground where the same place was seen without them', () => {
    const green = man(FEET.x, FEET.y).map((box, i) => (i === 0 ? box : { ...box, colour: [74, 158, 88] as const }));
    const click = { x: FEET.x + 4, y: FEET.y + 3 };
    const [hidden, empty] = [picture(...green), picture()];
    expect(feetNear(hidden, click, SCALE)).toBeNull();
    expect(off(feetNear(hidden, click, SCALE, [empty, empty, empty]))).toBeLessThan(0.2);
    // Whoever ran over the place in one of them does not stand in its way.
    const crossed = picture(...man(FEET.x, FEET.y - 4));
    expect(off(feetNear(hidden, click, SCALE, [empty, crossed, empty]))).toBeLessThan(0.2);
  });

  it('stays in a shadow, and where colour and what was seen before do not agree', () => {
    const shadow = picture({ left: 150, top: 120, wide: 20, high: 20, colour: SHADOW });
    expect(feetNear(shadow, FEET, SCALE, [picture(), picture(), picture()])).toBeNull();
    const [drawn, click] = [picture(...man(FEET.x, FEET.y)), { x: FEET.x + 4, y: FEET.y + 3 }];
    expect(feetNear(drawn, click, SCALE)).not.toBeNull();
    // Half of him was there before, and was no ground then.
    const half = picture({ left: 148, top: 60, wide: 13, high: 82, colour: PANTS });
    expect(feetNear(drawn, click, SCALE, [half, half, half])).toBeNull();
  });

  it('is told by colour alone where other pictures are of another size', () => {
    const drawn = picture(...man(FEET.x, FEET.y));
    const click = { x: FEET.x + 4, y: FEET.y + 3 };
    const small = { width: 2, height: 2, data: new Uint8ClampedArray(16) };
    expect(feetNear(drawn, click, SCALE, [small])).toEqual(feetNear(drawn, click, SCALE));
  });

  it('knows how large a foot is where it is, and nothing of the sky', () => {
    const calibration = aCalibration();
    const [near, far] = [scaleOnGround(calibration, seenAt(0, 90)), scaleOnGround(calibration, seenAt(0, 120))];
    expect(near!).toBeGreaterThan(far!);
    expect(near!).toBeCloseTo(Math.hypot(seenAt(1, 90).x - seenAt(0, 90).x, seenAt(1, 90).y - seenAt(0, 90).y), 0);
    expect(scaleOnGround(calibration, { x: 480, y: -4000 })).toBeNull();
  });
});

const CLIP = { snapFrame: 24, frames: 140, framesPerSecond: 30 };

describe('frames on which everybody is elsewhere', () => {
  it('are a second and more after the snap, by the clip’s own rate', () => {
    expect(framesElsewhere(CLIP)).toEqual([60, 72, 84, 96, 108]);
    expect(framesElsewhere({ ...CLIP, framesPerSecond: 60, frames: 400 })[0]).toBe(96);
  });
  it('are those the clip has, and none where they are too few to tell the ground from who runs over it', () => {
    expect(framesElsewhere({ ...CLIP, frames: 90 })).toEqual([60, 72, 84]);
    expect(framesElsewhere({ ...CLIP, frames: 84 })).toEqual([]);
  });
});
