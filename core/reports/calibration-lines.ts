import { paintedYard } from '../film/calibrate/field-marks';
import type { CalibrationProblem } from '../film/calibrate/calibrate';
import { ellipseOf, placeAt } from '../film/calibrate/uncertainty';
import { trim } from '../geometry/units';
import type { Calibration, FieldMark } from '../model/calibration';
import type { Carried } from '../model/measured';

/** A field mark as a coach says it: "the 35 at the left hash". */
export function sayMark({ yard, across }: Pick<FieldMark, 'yard' | 'across'>): string {
  const line = `the ${paintedYard(yard)}`;
  return across === 'anywhere' ? `somewhere on ${line}` : `${line} at the ${across}`;
}

/** Why marks give no camera, and what to do about it. */
export function sayCalibrationProblem({ kind, mark }: CalibrationProblem, marks: readonly FieldMark[]): string {
  switch (kind) {
    case 'too few marks':
      return 'Too few marks. Name four crossings at least, on two yard lines or more; a click anywhere on a line counts half.';
    case 'marks in one line':
      return 'These marks leave the camera open: they lie too much in one line. Name some away from it.';
    case 'does not fit':
      return mark === null
        ? 'These marks do not fit together. One of them has another name than it was given, or is not where it was clicked.'
        : `These marks do not fit together. Look at ${sayMark(marks[mark]!)} first.`;
    case 'ball off the field':
      return 'The ball is not on the field there. Click the ball itself, before it is snapped.';
  }
}

/** How a camera that moved was carried along, and where it could not be. */
export function sayCarried({ angle, turns, residual, untold }: Carried): string {
  if (residual === null)
    return `The ${angle} camera could not be carried along: too little of the field is to be seen.`;
  const lost =
    untold === 0
      ? ''
      : ` On ${untold} of ${turns.length} frames too little of the field was to be seen; it was left as it stood before.`;
  return `The ${angle} camera was carried along; the field fits to ${residual.toFixed(1)} pixels.${lost}`;
}

/** From this width of the picture on a residual is worth a second look, pixels at a picture 1000 wide. */
const ROUGH = 3;

/** How good a calibration is, in a sentence. */
export function sayCalibration(calibration: Calibration): string {
  const { residual, marks, width } = calibration;
  const place = placeAt(calibration, calibration.ball);
  const error = place ? ellipseOf(place.spread) : null;
  const known = error
    ? `A click near the ball is known to ${trim(error.minor * 12, 0)} in one way and ${trim(error.major * 12, 0)} in the other.`
    : '';
  const rough = residual > (ROUGH * width) / 1000 ? ' That is rough: check the marks.' : '';
  return `${marks.length} marks fit to ${residual.toFixed(1)} pixels.${rough} ${known}`.trim();
}
