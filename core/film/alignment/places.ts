import type { Calibration } from '../../model/calibration';
import type { Look, Team } from '../../model/measured';
import { ANGLES, type Angle } from '../../model/angle';
import { spotWithError } from '../calibrate/ball';
import { placeAt, together, type Placed, type Spread } from '../calibrate/uncertainty';

/** Where a man is by the film: feet in the field frame (the ball at the origin), with the spread of the error and the angles it was seen from. */
export interface MeasuredMan {
  readonly id: string;
  readonly team: Team;
  readonly x: number;
  readonly y: number;
  readonly spread: Spread;
  readonly angles: readonly Angle[];
}

export type Calibrations = Readonly<Partial<Record<Angle, Calibration>>>;

/** The ball's place on the field by all angles that are calibrated; `null` without any. */
export function ballOf(calibrations: Calibrations): Placed | null {
  const seen = ANGLES.flatMap((angle) => {
    const calibration = calibrations[angle];
    const place = calibration && spotWithError(calibration);
    return place ? [place] : [];
  });
  return seen.length ? seen.reduce(together) : null;
}

/**
 * Places of everybody whose feet were clicked; a man seen from both angles once, each angle weighed by what it knows. To the side they are
 * counted from the centre where he was clicked, for he stands over the ball; else from where the ball was clicked.
 */
export function placesOf(look: Look, calibrations: Calibrations): MeasuredMan[] {
  const ball = ballOf(calibrations);
  if (!ball) return [];
  const men = new Map<string, { id: string; team: Team; placed: Placed; angles: Angle[] }>();
  for (const { id, team, angle, pixel } of look.feet) {
    const calibration = calibrations[angle];
    const place = calibration && placeAt(calibration, pixel);
    if (!place) continue;
    const key = `${team} ${id}`;
    const before = men.get(key);
    if (!before) men.set(key, { id, team, placed: place, angles: [angle] });
    else if (!before.angles.includes(angle)) {
      before.placed = together(before.placed, place);
      before.angles.push(angle);
    }
  }
  const centre = look.seconds <= 0 ? men.get('offence C') : undefined;
  const x = centre ? centre.placed.x : ball.x;
  return [...men.values()].map(({ id, team, placed, angles }) => ({
    id,
    team,
    x: placed.x - x,
    y: placed.y - ball.y,
    spread: placed.spread,
    angles,
  }));
}
