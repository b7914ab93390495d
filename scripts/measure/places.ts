import { calibrate } from '#core/film/calibrate/calibrate';
import { frontAsMeasured } from '#core/film/alignment/front';
import { placesOf, type Calibrations, type MeasuredMan } from '#core/film/alignment/places';
import { techniqueOf } from '#core/identify/techniques';
import { levelOf } from '#core/identify/line';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import type { CalibrationInput } from '#core/model/calibration';
import { ANGLES, type Angle } from '#core/model/angle';
import type { WorkedCall } from '#core/calls/resolve-call';
import { calibrationClicked, feetClicked, handOf, trulyAt, type Truth } from './truth';
import type { Tally } from './tally';

/** What a hand one pixel off clicks for the cameras of both angles at the snap. */
export const clickedCameras = (truth: Truth, seed: number): Record<Angle, CalibrationInput> => ({
  'end zone': calibrationClicked(truth, 'end zone', truth.snapFrame - 1, handOf(seed + 8)),
  sideline: calibrationClicked(truth, 'sideline', truth.snapFrame - 1, handOf(seed + 9)),
});

/** The cameras behind clicks, which have to give some. */
export function calibrated(inputs: Readonly<Record<Angle, CalibrationInput>>): Calibrations {
  const found: Partial<Record<Angle, Calibrations[Angle]>> = {};
  for (const angle of ANGLES) {
    const result = calibrate(inputs[angle]);
    if (!result.ok) throw new Error(`${angle}: ${JSON.stringify(result.problem)}`);
    found[angle] = result.value;
  }
  return found;
}

export const calibrationsOf = (truth: Truth, seed: number): Calibrations => calibrated(clickedCameras(truth, seed));

/** How far measured men are from where they are. */
function errorsOf(truth: Truth, frame: number, measured: readonly MeasuredMan[]): number[] {
  return measured.map((m) => {
    const i = truth.men.findIndex((t) => t.id === m.id && t.team === m.team);
    const really = trulyAt(truth, i, frame);
    return Math.hypot(m.x - really.x, m.y - really.y);
  });
}

/** Measures one snap with clicks of one pixel and adds what was right to the tally. */
export function measurePlaces(truth: Truth, { formation, front }: WorkedCall, seed: number, tally: Tally): void {
  const calibrations = calibrationsOf(truth, seed);
  const at = truth.snapFrame - 1;
  for (const angles of [['end zone'], ['sideline'], ANGLES] as const) {
    const name = angles.length === 2 ? 'both' : angles[0]!;
    const places = placesOf(feetClicked(truth, at, handOf(seed + 5), angles), calibrations);
    tally.add(`place at the snap, ${name}, ft`, errorsOf(truth, at, places));
    const still = { ...front, movements: [] };
    const read = frontAsMeasured(places, formation, still);
    for (const d of front.defenders) {
      if (levelOf(d) !== 1) continue;
      const word = techniqueOf(d, formation, SHIPPED_SETTINGS).label;
      const got = read.men.find((m) => m.id === d.id)?.technique.label;
      tally.count(`technique right, ${name}`, got === word);
      if (got !== word && name === 'both') tally.note(`${d.id} ${word} read as ${got}`);
    }
  }
}
