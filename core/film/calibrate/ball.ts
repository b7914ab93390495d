import type { Calibration, Pixel, FilmCamera } from '../../model/calibration';
import { groundAt, type Size } from './camera';
import { CLICK, placeAt, type Spread } from './uncertainty';

/**
 * The line of scrimmage is the ball's near tip; whoever clicks the ball clicks its middle. Half the length of a ball, and how high its middle
 * is when it lies on the grass, feet.
 */
const HALF_BALL = 0.46;
const BALL_HEIGHT = 0.28;

/** Where the offence's line of scrimmage and the ball's middle cross, by a click on the ball: feet on the field; `null` when it is not on it. */
export function spotOf(camera: FilmCamera, ball: Pixel, size: Size): { x: number; y: number } | null {
  const middle = groundAt(camera, ball, size, BALL_HEIGHT);
  return middle && { x: middle.x, y: middle.y - HALF_BALL };
}

/** The same with its spread. */
export function spotWithError(calibration: Calibration): { x: number; y: number; spread: Spread } | null {
  const middle = placeAt(calibration, calibration.ball, CLICK, BALL_HEIGHT);
  return middle && { ...middle, y: middle.y - HALF_BALL };
}
