import { feetNear, framesElsewhere, scaleOnGround } from '#core/film/alignment/assist';
import { ANGLES } from '#core/model/angle';
import { framesOf } from './film';
import { calibrationsOf } from './places';
import type { Tally } from './tally';
import { feetClicked, handOf, type Truth } from './truth';

/** Hands of so many pixels. */
const HANDS = [1, 4];

/** Clicks everybody's feet at the snap, more and less carefully, lets the picture put the clicks right and compares both with the truth. */
export function measureAssisted(truth: Truth, folder: string, number: number, seed: number, tally: Tally): void {
  const at = truth.snapFrame - 1;
  const cameras = calibrationsOf(truth, seed);
  for (const angle of ANGLES) {
    const file = `${folder}/snap-${String(number).padStart(2, '0')}-${angle.replace(' ', '-')}.webm`;
    const frames = framesOf(file);
    const picture = frames[at]!;
    const { snapFrame, framesPerSecond } = truth;
    const others = framesElsewhere({ snapFrame, framesPerSecond, frames: frames.length }).map(
      (frame) => frames[frame]!,
    );
    const exact = feetClicked(truth, at, (p) => p, [angle]).feet;
    for (const pixels of HANDS) {
      const feet = feetClicked(truth, at, handOf(seed + pixels, pixels), [angle]).feet;
      for (const [i, { pixel }] of feet.entries()) {
        const scale = scaleOnGround(cameras[angle]!, pixel);
        const found = scale === null ? null : feetNear(picture, pixel, scale, others);
        const name = `a hand ${pixels} px off, ${angle}`;
        tally.count(`clicks put right, ${name}`, found !== null);
        if (!found) continue;
        const off = (p: { x: number; y: number }): number =>
          Math.hypot(p.x - exact[i]!.pixel.x, p.y - exact[i]!.pixel.y) / scale!;
        tally.add(`those before, ${name}, ft`, [off(pixel)]);
        tally.add(`those after, ${name}, ft`, [off(found)]);
      }
    }
  }
}
