import type { FilmCamera } from '../../model/calibration';

/** How far each of a camera's numbers is moved to feel its slope: feet, radians, ln of the focal length, barrel. */
export const STEPS = [1e-3, 1e-3, 1e-3, 1e-6, 1e-6, 1e-6, 1e-6, 1e-5] as const;

/** A camera as eight numbers that least squares can move freely. */
export const numbersOf = ({ at, pan, tilt, roll, focal, barrel }: FilmCamera): number[] => [
  at.x,
  at.y,
  at.z,
  pan,
  tilt,
  roll,
  Math.log(focal),
  barrel,
];

/** The camera behind eight numbers. */
export const cameraOf = (numbers: readonly number[]): FilmCamera => ({
  at: { x: numbers[0]!, y: numbers[1]!, z: numbers[2]! },
  pan: numbers[3]!,
  tilt: numbers[4]!,
  roll: numbers[5]!,
  focal: Math.exp(Math.min(4, Math.max(-4, numbers[6]!))),
  barrel: numbers[7]!,
});
