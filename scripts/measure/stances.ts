import { stanceOf } from '#core/film/alignment/stance';
import { ANGLES } from '#core/model/angle';
import { LINE_SEATS } from '#core/model/formation';
import { calibrationsOf } from './places';
import type { Tally } from './tally';
import { handOf, trulyAt, truePixel, type Truth } from './truth';

/** A stance the figures of the simulated film do not show: as wide as this and the right foot so far back, feet. */
const WIDTH = 2.2;
const BACK = 0.6;

/** Clicks both feet of every lineman where the cameras would see them, one pixel off, and adds how far off his stance is. */
export function measureStances(truth: Truth, seed: number, tally: Tally): void {
  const calibrations = calibrationsOf(truth, seed);
  const at = truth.snapFrame - 1;
  const hand = handOf(seed + 6);
  for (const angles of [['end zone'], ['sideline'], ANGLES] as const) {
    const name = angles.length === 2 ? 'both' : angles[0]!;
    for (const [i, { id, team }] of truth.men.entries()) {
      if (team !== 'offence' || !LINE_SEATS.some((seat) => seat === id)) continue;
      const { x, y } = trulyAt(truth, i, at);
      const clicks = angles.flatMap((angle) => {
        const foot = (side: 1 | -1) =>
          truePixel(truth, angle, at, { x: x + (side * WIDTH) / 2, y: y - (side * BACK) / 2, z: 0 });
        const [left, right] = [foot(-1), foot(1)];
        return left && right
          ? [{ id, team, angle, pixels: [hand(left), hand(right)] as [typeof left, typeof right] }]
          : [];
      });
      const stance = stanceOf(clicks, calibrations);
      if (!stance) continue;
      tally.add(`feet apart, ${name}, in`, [12 * Math.abs(stance.width - WIDTH)]);
      tally.add(`one foot behind the other, ${name}, in`, [12 * Math.abs(stance.ahead + BACK)]);
    }
  }
}
