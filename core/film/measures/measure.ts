import type { Formation } from '../../model/formation';
import type { Assignment, Resolution } from '../../model/resolution';
import { carrierOf } from '../../movement/run/carrier';
import type { Meeting } from '../follow/events';
import type { Followed, Track } from '../follow/follow';
import type { WouldHave } from '../follow/would-have';
import { ANGLES, type Angle } from '../../model/angle';

/** Where a frame is in time: the first one is `start` seconds from the snap. */
export interface Timing {
  readonly framesPerSecond: number;
  readonly start: number;
}

/** Men as they were followed, and who met whom. Tracks in feet, field frame. */
export interface FollowedMen extends Timing {
  readonly tracks: readonly Track[];
  readonly meetings: readonly Meeting[];
}

/** What was asked on a play that is on film. */
export interface AskedOnFilm {
  readonly assignments: readonly Assignment[];
  /** Whether a pass was called, and who has the ball once it is handed over. */
  readonly pass: boolean;
  readonly carrier: string;
}

/** What a call asked. */
export function askedOnFilm(formation: Pick<Formation, 'men'>, { assignments, passing }: Asking): AskedOnFilm {
  const others = formation.men.filter((m) => !assignments.some((a) => a.blocker === m.id));
  return { assignments, pass: passing !== null, carrier: carrierOf(others, passing !== null) };
}
type Asking = Pick<Resolution, 'assignments' | 'passing'>;

/** A play as it was followed, with what was asked. */
export interface PlayOnFilm extends FollowedMen, AskedOnFilm {
  /** What would have been; only proposals ask for it. */
  readonly would?: WouldHave;
}

/** A measure of a man: what it says, in words with its error, and whether it is more than its error. */
export interface Reading {
  readonly says: string;
  /** Feet or seconds, and one standard deviation of it. */
  readonly value: number;
  readonly error: number;
}

/** One thing that is measured on film. `null` where there is nothing to measure, or the film does not tell. */
export interface Measure {
  readonly name: string;
  /** Of which angle it may be trusted: what is across is seen from the end zone, what is downfield from the sideline. */
  readonly trust: 'either angle' | 'the end zone' | 'the sideline' | 'both angles';
  readonly of: (play: PlayOnFilm, man: Track) => Reading | null;
}

/** A track tells places no better than this, whatever its filter says: lens, lean and clicks. Feet. */
const FLOOR = 0.15;

/** The standard deviation of a place of a track, feet. */
export const errorOf = ({ error }: Followed): number => Math.hypot(error, FLOOR);

/** The frame of a time from the snap; never before the first or after the last. */
export function frameOf({ framesPerSecond, start }: Timing, { places }: Track, seconds: number): number {
  return Math.max(0, Math.min(places.length - 1, Math.round((seconds - start) * framesPerSecond)));
}

/** Seconds from the snap to a frame. */
export const secondsOf = ({ framesPerSecond, start }: Timing, frame: number): number => start + frame / framesPerSecond;

/** A value with its error: "0.8 ft, give or take 0.3". */
export const withError = (value: number, error: number, unit: 'ft' | 's'): string =>
  unit === 'ft'
    ? `${value.toFixed(1)} ft, give or take ${error.toFixed(1)}`
    : `${value.toFixed(2)} s, give or take ${error.toFixed(2)}`;

/** More than chance: twice its error at least. Only such a reading may propose anything, and it never sets a mark. */
export const isTelling = ({ value, error }: Reading): boolean => Math.abs(value) >= 2 * error;

/** Whether a measure may be trusted from the angles there are. */
export function isTrusted({ trust }: Pick<Measure, 'trust'>, angles: readonly Angle[]): boolean {
  if (trust === 'both angles') return angles.length === ANGLES.length;
  return trust === 'either angle' ? angles.length > 0 : angles.some((a) => trust === `the ${a}`);
}
