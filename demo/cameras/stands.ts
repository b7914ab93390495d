import type { Angle } from '#core/model/angle';
import type { Field } from './field';
import type { Camera } from './lens';
import { chance } from './random';

/** Two stands: high behind the offence, and the press box. Each hangs a little crooked, as they do. */
export function cameraFor(angle: Angle, seed: number, field: Field): Camera {
  const wobble = chance(seed + (angle === 'end zone' ? 1 : 2));
  const roll = (wobble() - 0.5) * 0.016;
  if (angle === 'end zone')
    return {
      at: { x: wobble() * 3 - 1.5, y: -86, z: 27 },
      toward: { x: 0, y: 4, z: 0.6 },
      focal: 1.62,
      roll,
      barrel: -0.1,
    };
  return {
    at: { x: -(150 + field.ballX), y: -4 + wobble() * 4, z: 40 },
    toward: { x: 0, y: -1, z: 0.5 },
    focal: 2.9,
    roll,
    barrel: -0.12,
  };
}

/** How far a hand that holds a camera lets it wander, feet at what it looks at, and radians of roll. */
const WANDERS = { x: 2.4, y: 1.4, roll: 0.012 };

/** The same camera held by hand, `time` seconds in: it drifts, breathes and follows the ball a little. */
export function heldByHand(camera: Camera, seed: number, time: number, ball: { x: number; y: number }): Camera {
  const random = chance(seed + 77);
  const phases = Array.from({ length: 6 }, () => random() * Math.PI * 2);
  const wave = (i: number): number =>
    Math.sin(time * 1.9 + phases[i]!) * 0.6 + Math.sin(time * 5.3 + phases[i + 1]!) * 0.25;
  return {
    ...camera,
    toward: {
      x: camera.toward.x + wave(0) * WANDERS.x + ball.x * 0.35,
      y: camera.toward.y + wave(2) * WANDERS.y + ball.y * 0.35,
      z: camera.toward.z,
    },
    roll: camera.roll + wave(4) * WANDERS.roll,
  };
}
