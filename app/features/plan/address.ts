import type { PlannedLook, PlannedPlay } from '#core/model/week-plan';
import type { RouteLocationRaw } from 'vue-router';

/** The walkthrough of one play of the week against one look. */
export const walkthroughOf = (play: PlannedPlay, look: PlannedLook): RouteLocationRaw => ({
  path: '/walkthrough',
  query: {
    play: play.scheme,
    side: play.side,
    formation: play.formation,
    front: look.front,
    ...(play.tags.length ? { tags: play.tags.join(',') } : {}),
  },
});
