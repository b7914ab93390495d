import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ANGLES, type Angle } from '../../model/angle';
import type { Pixel } from '../../model/calibration';
import type { StanceClicks } from '../../model/measured';
import { calibrationsOfBoth, seenFrom } from '../../testing/two-cameras';
import { sayStance, stanceOf, type MeasuredStance } from './stance';

const cameras = calibrationsOfBoth();
interface Stance {
  readonly x: number;
  readonly width: number;
  readonly ahead: number;
}
/** Clicks on both feet of a man a yard behind the ball: the left foot first, or the right one; each so many pixels off. */
function clicks(
  angle: Angle,
  { x, width, ahead }: Stance,
  { rightFirst = false, off = [0, 0, 0, 0] }: { rightFirst?: boolean; off?: readonly number[] } = {},
): StanceClicks {
  const foot = (side: -1 | 1, dx: number, dy: number): Pixel => {
    const at = seenFrom(angle, x + (side * width) / 2, -3 + (side * ahead) / 2);
    return { x: at.x + dx, y: at.y + dy };
  };
  const [left, right] = [foot(-1, off[0]!, off[1]!), foot(1, off[2]!, off[3]!)];
  return { id: 'LG', team: 'offence', angle, pixels: rightFirst ? [right, left] : [left, right] };
}
const stances = fc.record({
  x: fc.double({ min: -12, max: 12, noNaN: true }),
  width: fc.double({ min: 1, max: 4, noNaN: true }),
  ahead: fc.double({ min: -1.5, max: 1.5, noNaN: true }),
});

describe('a stance', () => {
  it('is found from clicks on both feet, whichever comes first, from either angle', () => {
    fc.assert(
      fc.property(stances, fc.constantFrom(...ANGLES), fc.boolean(), (stance, angle, rightFirst) => {
        const found = stanceOf([clicks(angle, stance, { rightFirst })], cameras)!;
        expect(found.width).toBeCloseTo(stance.width, 1);
        expect(found.ahead).toBeCloseTo(stance.ahead, 1);
      }),
    );
  });

  it('is known across from the end zone, to the front from the sideline, and from both better than from either', () => {
    const stance = { x: -4, width: 2.4, ahead: -0.6 };
    const [behind, beside] = [clicks('end zone', stance), clicks('sideline', stance)];
    const [one, other, both] = [[behind], [beside], [behind, beside]].map((c) => stanceOf(c, cameras)!);
    expect(one!.widthError).toBeLessThan(one!.aheadError);
    expect(other!.aheadError).toBeLessThan(other!.widthError);
    expect(both!.widthError).toBeLessThan(one!.widthError);
    expect(both!.aheadError).toBeLessThan(other!.aheadError);
    expect([both!.width, both!.ahead].map((feet) => Math.round(feet * 12))).toEqual([29, -7]);
  });

  it('is nothing without a camera that is known', () => {
    expect(
      stanceOf([clicks('sideline', { x: 0, width: 2, ahead: 0 })], { 'end zone': cameras['end zone'] }),
    ).toBeNull();
    expect(stanceOf([], cameras)).toBeNull();
  });

  it('is off by no more than it says, as often as it should be, when every click is a pixel off', () => {
    let seed = 7;
    const uniform = (): number => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const gauss = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const stance = { x: 4, width: 2.2, ahead: 0.7 };
    const TRIES = 400;
    const found = Array.from({ length: TRIES }, () => {
      const off = (): number[] => [gauss(), gauss(), gauss(), gauss()];
      return stanceOf(
        ANGLES.map((angle) => clicks(angle, stance, { off: off() })),
        cameras,
      )!;
    });
    const within = (is: (s: MeasuredStance) => boolean): number => found.filter(is).length / TRIES;
    const widths = within((s) => Math.abs(s.width - stance.width) < s.widthError);
    const aheads = within((s) => Math.abs(s.ahead - stance.ahead) < s.aheadError);
    for (const share of [widths, aheads]) {
      expect(share).toBeGreaterThan(0.6);
      expect(share).toBeLessThan(0.8);
    }
  });
});

describe('a stance in words', () => {
  const said = (ahead: number, aheadError = 0.1, widthError = 0.1): string =>
    sayStance({ width: 26 / 12, widthError, ahead, aheadError });
  it.each([
    [0.1, 'feet 26 ± 1 in apart; left foot 1 ± 1 in back: even'],
    [-0.5, 'feet 26 ± 1 in apart; right foot 6 ± 1 in back: toe to instep'],
    [1, 'feet 26 ± 1 in apart; left foot 12 ± 1 in back: toe to heel'],
    [1.5, 'feet 26 ± 1 in apart; left foot 18 ± 1 in back: more than toe to heel'],
  ])('with the right foot %s ft ahead', (ahead, says) => {
    expect(said(ahead)).toBe(says);
  });

  it('says nothing of the stagger where the film does not tell it, and no error of nothing', () => {
    expect(said(-0.5, 0.6, 0.001)).toBe('feet 26 ± 1 in apart; which foot is back cannot be told from here');
  });
});
