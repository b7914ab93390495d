import type { WorkedCall } from '../../calls/resolve-call';
import { SHIPPED_SETTINGS, type Settings } from '../../model/settings';
import type { Movement } from '../../model/movement';
import { movementMenu } from '../../movement/menu';
import { resolve } from '../../movement/play';
import { runPlay, type Run } from '../../movement/run/run';
import type { MeasuredMan } from './places';

/** What a front did after the snap, and how likely the film makes it. The shares of all readings sum to 1. */
export interface MovementReading {
  readonly movements: readonly Movement[];
  readonly share: number;
}

/** Where men were a moment after the snap. */
export interface LaterLook {
  readonly seconds: number;
  readonly men: readonly MeasuredMan[];
}

/** How likely a front is to come straight before anything is seen; all other readings share the rest evenly. */
const STAYS = 0.4;
/** How fast men go compared with the shipped speeds: the film decides. */
const PACES = [0.8, 0.9, 1, 1.15, 1.3];
/** How far a man strays from where his reading would have him: feet at once, and a share of how far he has gone. */
const STRAYS = { at: 0.1, share: 0.2 };
/** A man far from where every reading has him was followed wrong, or did something of his own: he tells little (degrees of freedom of a Student's t). */
const HEAVY = 4;

/**
 * Names the movement from where defenders were at the snap and after it. The play that was called is run against every movement of the
 * menu, at several paces, and each run is held against the film: likeliest first. Half a second is little to go by; the more of the
 * first second is seen, the surer.
 */
export function nameMovement(
  { scheme, formation, front, resolution }: WorkedCall,
  atSnap: readonly MeasuredMan[],
  looks: readonly LaterLook[],
  settings: Settings = SHIPPED_SETTINGS,
): MovementReading[] {
  const still = { ...front, movements: [] };
  const menu = movementMenu(still, formation).flatMap((g) => g.moves);
  const readings: Movement[][] = [[], ...menu.map((m) => [m])];
  const most = Math.max(0.1, ...looks.map((l) => l.seconds)) * Math.max(...PACES);
  const weights = readings.map((movements) => {
    const moved = { ...still, movements };
    const { side, tags } = resolution;
    const run = runPlay(formation, moved, resolve(scheme, formation, moved, { side, tags, settings }), {
      level: settings.levelOfPlay,
      depths: settings,
      seconds: most,
    });
    const prior = movements.length === 0 ? STAYS : (1 - STAYS) / Math.max(1, menu.length);
    return Math.log(prior) + Math.max(...PACES.map((pace) => likelihood(run, pace, atSnap, looks)));
  });
  const best = Math.max(...weights);
  const sum = weights.reduce((total, w) => total + Math.exp(w - best), 0);
  return readings
    .map((movements, i) => ({ movements, share: Math.exp(weights[i]! - best) / sum }))
    .sort((a, b) => b.share - a.share);
}

/** Log likelihood of what was seen when a run at a pace is what happened. Looks at one play are no strangers to each other: together they count as their root. */
function likelihood(run: Run, pace: number, atSnap: readonly MeasuredMan[], looks: readonly LaterLook[]): number {
  let sum = 0;
  for (const { seconds, men } of looks) {
    const frame = run.frames[Math.min(run.frames.length - 1, Math.round((seconds * pace) / run.step))]!;
    for (const now of men) {
      const i = run.men.findIndex((m) => m.team === 'defence' && m.id === now.id);
      const before = atSnap.find((m) => m.team === 'defence' && m.id === now.id);
      if (now.team !== 'defence' || i < 0 || !before) continue;
      const x = frame[2 * i]! - run.frames[0]![2 * i]!;
      const y = frame[2 * i + 1]! - run.frames[0]![2 * i + 1]!;
      const strays = (STRAYS.at + STRAYS.share * Math.hypot(x, y)) ** 2;
      const xx = before.spread.xx + now.spread.xx + strays;
      const yy = before.spread.yy + now.spread.yy + strays;
      const [dx, dy] = [now.x - before.x - x, now.y - before.y - y];
      const off = (dx * dx) / xx + (dy * dy) / yy;
      sum -= 0.5 * ((HEAVY + 2) * Math.log(1 + off / HEAVY) + Math.log(xx * yy));
    }
  }
  return sum / Math.sqrt(Math.max(1, looks.length));
}
