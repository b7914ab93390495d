import { YARD } from '../geometry/units';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';
import type { Settings } from '../model/settings';
import { WAYS_LOST, type WayLost } from '../movement/run/blockers';
import { runPlay, type Run, type RunOptions } from '../movement/run/run';

/** Of a run of which nobody meets the ball while it is run so many yards are counted. */
const CLEAN = 8;
/** What a quarterback hit before the ball is out costs, yards; an assumption, as is what follows from it. */
const SACK = 7;
/** A run that is met before it has so many yards is dead. */
const DEAD = 0.5;

/** What becomes of a play when one man loses his block: the worst of the ways it can be lost. */
export interface Loss {
  readonly blocker: string;
  /** Whom he has. */
  readonly on: string;
  readonly way: WayLost;
  /** Yards it costs. */
  readonly costs: number;
  /** The play was alive with all blocks held and is dead without this one: the run stopped at the line or behind it, the quarterback hit. */
  readonly kills: boolean;
}

/**
 * Runs the play in time with every block held and once more with the first block of each man lost: past him toward the ball, past him away
 * from it, and driven back, where he and his man are in the way of whoever pulls. Speed and place only; how likely a man loses it is not in
 * here.
 */
export function lossesOf(
  formation: Formation,
  front: Front,
  resolution: Resolution,
  { levelOfPlay }: Pick<Settings, 'levelOfPlay'>,
): Loss[] {
  const throws = resolution.passing !== null;
  const run = (quirks: RunOptions['quirks']): number =>
    cameTo(runPlay(formation, front, resolution, { level: levelOfPlay, quirks, untilMet: true }), throws);
  const whole = run({});
  const isDead = (yards: number): boolean => yards < (throws ? 0 : DEAD);
  return resolution.assignments.flatMap(({ blocker, block, target }): Loss[] => {
    if (target === null || HAS_NOBODY.has(block)) return [];
    const ways = WAYS_LOST.map((way) => ({ way, yards: run({ [blocker]: way }) }));
    const { way, yards } = ways.reduce((worst, w) => (w.yards < worst.yards ? w : worst));
    return [{ blocker, on: target, way, costs: Math.max(0, whole - yards), kills: !isDead(whole) && isDead(yards) }];
  });
}

/** Jobs in which nobody is touched. */
const HAS_NOBODY: ReadonlySet<string> = new Set(['read', 'leave']);

/** Yards: where the first man meets the ball; of a throw nothing, or what a sack costs. */
function cameTo({ events }: Run, throws: boolean): number {
  if (throws) return events.some((e) => e.kind === 'at the quarterback') ? -SACK : 0;
  const met = events.find((e) => e.kind === 'meets the ball');
  return met?.kind === 'meets the ball' ? Math.min(CLEAN, met.depth / YARD) : CLEAN;
}

/** The block a play hangs on: of those that kill it the one that costs most; `null` when it stands every single loss. */
export function loadBearing(losses: readonly Loss[]): Loss | null {
  return losses.filter((l) => l.kills).sort((a, b) => b.costs - a.costs)[0] ?? null;
}
