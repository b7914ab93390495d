import type { ClipBody } from '../model/snap';

/** Time in seconds in the middle of a frame: asking for its edge may show the one before. Frames count from 0. */
export const seekTime = (frame: number, framesPerSecond: number): number => (frame + 0.5) / framesPerSecond;

/** The frame on show at a media time given by the player, which is the frame's own start. */
export const frameAt = (seconds: number, framesPerSecond: number): number =>
  Math.floor(seconds * framesPerSecond + 0.25);

/** Seconds from the snap to a frame; negative before it. */
export const sinceSnap = (frame: number, snapFrame: number, framesPerSecond: number): number =>
  (frame - snapFrame) / framesPerSecond;

/** The moments of a clip that are marked, by name. */
export const MOMENTS = ['snap', 'contact', 'throw', 'whistle'] as const;
export type Moment = (typeof MOMENTS)[number];
export const FRAME_OF = {
  snap: 'snapFrame',
  contact: 'contactFrame',
  throw: 'throwFrame',
  whistle: 'whistleFrame',
} as const satisfies Record<Moment, string>;
/** Moments that every clip has; a throw is on a pass, where somebody marked it. */
export type FixedMoment = Exclude<Moment, 'throw'>;

/** The frame of a moment; `null` where it is not marked. */
export const frameOfMoment = (clip: ClipBody, moment: Moment): number | null => clip[FRAME_OF[moment]] ?? null;

/** What is needed of a clip to find one moment in it. */
type Timed<M extends FixedMoment> = Readonly<Record<'framesPerSecond' | 'frames' | (typeof FRAME_OF)[M], number>>;

/**
 * The frame of another clip that shows the same moment, counted from the snap of both or from another moment marked on both; its first or
 * last where it has none.
 */
export function sameMoment<M extends FixedMoment = 'snap'>(
  frame: number,
  from: Timed<M>,
  to: Timed<M>,
  lockedAt: M = 'snap' as M,
): number {
  const anchor = FRAME_OF[lockedAt];
  const after = (frame - from[anchor]) / from.framesPerSecond;
  const there = Math.round(to[anchor] + after * to.framesPerSecond);
  return Math.max(0, Math.min(to.frames - 1, there));
}
