import { computed, ref, type Ref } from 'vue';
import { askedPlaces } from '#core/film/follow/asked';
import { cameraDuring } from '#core/film/follow/carried';
import { groundAt } from '#core/film/calibrate/camera';
import { ballOf } from '#core/film/alignment/places';
import { manOn, type Named } from './men';
import { NOTHING_DRAWN, waysOnPicture } from './overlay';
import { useReplays } from './replays';
import type { OnFilm, OnStep } from './steps';
import { useMeasure } from './store';

/** Step 3: everybody's way through the play beside what was asked; a man in hand can be set where he stands on any frame. */
export function useWaysStep({ lead, seconds, kept }: OnFilm, men: Ref<readonly Named[]>) {
  const store = useMeasure();
  const inHand = ref<Pick<Named, 'id' | 'team'> | null>(null);
  const asked = computed(() => (store.call ? askedPlaces(store.call, { x: 0, y: 0 }, 0) : null));

  const replays = useReplays(inHand);

  const step: OnStep = {
    point: (pixel) => {
      const ball = ballOf(store.cameras);
      const play = store.measuring.followed;
      if (!inHand.value || !kept.value || !lead.value || !ball || !play) return;
      const camera = cameraDuring(kept.value, lead.value.angle, play, seconds.value);
      const there = groundAt(camera, pixel, kept.value);
      if (!there) return;
      void store.bend({ ...inHand.value, seconds: seconds.value, x: there.x - ball.x, y: there.y - ball.y });
    },
    takeAway: () => {
      if (inHand.value) void store.unbend(inHand.value.id, inHand.value.team);
    },
    man: (by) => void (inHand.value = manOn(men.value, inHand.value, by)),
    drawn: (clip) => {
      const calibration = store.calibrations[clip.id] ?? null;
      const play = store.measuring.followed;
      if (!play || !calibration) return { ...NOTHING_DRAWN, calibration };
      const ways = waysOnPicture(
        store.tracks,
        play,
        asked.value,
        calibration,
        clip.angle,
        seconds.value,
        inHand.value,
        replays.drawn.value,
      );
      return { ...NOTHING_DRAWN, calibration, ...ways };
    },
  };
  return { ...step, inHand, replays };
}
