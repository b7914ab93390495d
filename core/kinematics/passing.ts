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

const WORDS = { quick: ['dropQuick', 'throwQuick'], 'three-step': ['dropThree', 'throwThree'], 'five-step': ['dropFive', 'throwFive'], 'seven-step': ['dropSeven', 'throwSeven'], boot: ['dropBoot', 'throwBoot'] } as const;

/** How far to the play side a boot is thrown from, feet. */
const BOOT_WIDTH = 18;

/** The quarterback's spot and time for a drop: from under centre he drops to it, from the gun he is never nearer than he stands. */
export function pocketOf(drop: Throw, formation: Pick<Formation, 'quarterback'>, settings: Settings): Pocket {
  const [depth, time] = WORDS[drop];
  return { spot: { x: drop === 'boot' ? BOOT_WIDTH : 0, y: -Math.max(settings[depth], standsAt(formation.quarterback, settings)) * YARD }, time: settings[time] };
}

/** Yards behind the ball at which the quarterback takes the snap. */
const standsAt = (quarterback: Formation['quarterback'], settings: Settings): number =>
  (quarterback === 'gun' ? settings.gunDepth : quarterback === 'pistol' ? settings.pistolDepth : 0);
