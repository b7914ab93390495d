import type { Ask, Seen } from '#core/film/follow/look';
import type { Carried } from '#core/model/measured';
import type { FollowedCamera, Picture } from './following';

/** What the one hears who looks at the film of one angle: which camera took it, a picture with what to look for on it, then that there are no more. */
export type ToLooker =
  | { readonly kind: 'begin'; readonly camera: FollowedCamera }
  | { readonly kind: 'look'; readonly picture: Picture; readonly ask: Ask }
  | { readonly kind: 'end'; readonly frames: number };

/** What he says: what he saw, and in the end how the camera went, if it moved. */
export type FromLooker =
  | { readonly kind: 'ready' }
  | { readonly kind: 'seen'; readonly seen: Seen }
  | { readonly kind: 'carried'; readonly carried: Carried | null };
