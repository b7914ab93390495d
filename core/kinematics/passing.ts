import type { Point } from '../geometry/vec';
import { YARD } from '../geometry/units';
import type { Formation } from '../model/formation';
import type { Throw } from '../model/scheme';
import type { Settings } from '../model/settings';

/** Where and when the ball is thrown: feet, play side positive; seconds from the snap. */
export interface Pocket {
  readonly spot: Point;
  readonly time: number;
}

const WORDS = {
  quick: ['dropQuick', 'throwQuick'],
  'three-step': ['dropThree', 'throwThree'],
  'five-step': ['dropFive', 'throwFive'],
  'seven-step': ['dropSeven', 'throwSeven'],
  boot: ['dropBoot', 'throwBoot'],
} as const;

/** How far to the play side a boot is thrown from, feet. */
const BOOT_WIDTH = 18;

/** The quarterback's spot and time for a drop: from under centre he drops to it, from the gun he is never nearer than he stands. */
export function pocketOf(drop: Throw, formation: Pick<Formation, 'quarterback'>, settings: Settings): Pocket {
  const [depth, time] = WORDS[drop];
  return {
    spot: {
      x: drop === 'boot' ? BOOT_WIDTH : 0,
      y: -Math.max(settings[depth] * YARD, takesSnapAt(formation.quarterback, settings)),
    },
    time: settings[time],
  };
}

/** Feet behind the ball under centre. */
const UNDER_CENTRE = 3;

/** How far behind the ball the quarterback takes the snap, feet. */
export const takesSnapAt = (
  quarterback: Formation['quarterback'],
  { gunDepth, pistolDepth }: Pick<Settings, 'gunDepth' | 'pistolDepth'>,
): number => (quarterback === 'gun' ? gunDepth * YARD : quarterback === 'pistol' ? pistolDepth * YARD : UNDER_CENTRE);
