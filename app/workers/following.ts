import type { Calibration } from '#core/model/calibration';
import type { Carried, Team } from '#core/model/measured';
import type { Angle } from '#core/model/angle';
import type { Size } from '#core/film/calibrate/camera';
import type { Start, Track } from '#core/film/follow/follow';

/** A picture of one angle: red, green, blue and opacity of every pixel. */
export interface Picture extends Size {
  readonly data: Uint8ClampedArray<ArrayBuffer>;
}

/** The camera of one angle as it stands on the first frame; one that moves is carried along from there. */
export type FollowedCamera = Pick<Calibration, 'camera' | 'field' | 'spot' | 'moves'> & { readonly angle: Angle };

/** What is to be followed. Places in feet on the field; `asked` has a place for every frame, by team and name. */
export interface FollowJob {
  readonly starts: readonly Start[];
  readonly cameras: readonly FollowedCamera[];
  readonly framesPerSecond: number;
  readonly asked: Readonly<Record<string, readonly { x: number; y: number }[]>>;
}
export const askedKey = (team: Team, id: string): string => `${team} ${id}`;

/**
 * What the follower hears: that so many angles will be followed, if it is known before the job is; the job with the first pictures; then the
 * pictures of one frame after the other; then that there are no more.
 */
export type ToFollower =
  | { readonly kind: 'prepare'; readonly angles: number }
  | { readonly kind: 'begin'; readonly job: FollowJob; readonly pictures: readonly Picture[] }
  | { readonly kind: 'frame'; readonly pictures: readonly Picture[] }
  | { readonly kind: 'end' };

/** What it says to each: that it heard, how many frames are done, in the end everybody's way. */
export type FromFollower =
  | { readonly kind: 'ready' }
  | { readonly kind: 'next'; readonly done: number }
  | { readonly kind: 'tracks'; readonly tracks: readonly Track[]; readonly carried: readonly Carried[] };
