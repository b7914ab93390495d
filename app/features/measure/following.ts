import { computed, watch, type Ref } from 'vue';
import { askedPlaces } from '#core/film/follow/asked';
import { keepTracks } from '#core/film/follow/keep';
import { startsOf } from '#core/film/follow/starts';
import { looksAt } from '#core/film/follow/looks';
import { ballOf } from '#core/film/alignment/places';
import type { Angle } from '#core/model/angle';
import type { Shown } from '~/features/film/transport';
import { usePlaybook } from '~/features/playbook/store';
import { startFollower, useMovementReadings } from '~/workers/start';
import { askedKey, type FollowJob } from '~/workers/following';
import { Grabber } from './grab';
import { useFollowFilm } from './follow-film';
import { useMeasure } from './store';

/** Nobody is followed longer than this after the snap, seconds. */
const LONGEST = 4;

/** Following everybody on the film that is on the page, and naming what the front did from it. */
export function useFollowing(
  shown: Ref<readonly (Shown & { readonly clip: { readonly id: number; readonly angle: string } })[]>,
) {
  const store = useMeasure();
  const playbook = usePlaybook();
  const follower = useFollowFilm(startFollower);
  const readings = useMovementReadings();

  const films = computed(() => shown.value.filter(({ clip }) => store.calibrations[clip.id]));
  /** Why following cannot begin yet; empty when it can. */
  const missing = computed(() => {
    if (films.value.length === 0) return 'Name the field marks of an angle first: that is step 1.';
    const astray = films.value.find(({ clip }) => {
      const { moves, frame } = store.calibrations[clip.id]!;
      return moves && frame !== Math.max(0, clip.snapFrame - 1);
    });
    if (astray) {
      const { angle, snapFrame } = astray.clip;
      return `The ${angle} camera moves: name its marks on frame ${Math.max(0, snapFrame - 1)}, just before the snap.`;
    }
    const placed = store.places.filter((p) => p.team === 'offence').length;
    if (placed < 5) return 'Click the feet of the line and the front at the snap first: that is step 2.';
    return '';
  });

  // Who has clicked everybody follows them next.
  watch(
    () => missing.value === '' && !store.measuring.followed,
    (isNext) => isNext && follower.prepare(films.value.length),
    { immediate: true },
  );

  async function start(): Promise<void> {
    const { call, cameras } = store;
    const ball = ballOf(cameras);
    const lead = films.value[0];
    if (!call || !ball || !lead || missing.value) return;
    const { framesPerSecond, snapFrame, whistleFrame, frames } = lead.clip;
    const first = Math.max(0, snapFrame - 1);
    const last = Math.min(frames - 1, whistleFrame, Math.round(snapFrame + LONGEST * framesPerSecond));
    const begin = (first - snapFrame) / framesPerSecond;
    const starts = startsOf(store.places, call, ball);
    const asked = askedPlaces(call, ball, begin);
    const count = last - first + 1;
    const job: FollowJob = {
      starts,
      framesPerSecond,
      cameras: films.value.map(({ clip }) => {
        const { camera, field, spot, moves } = store.calibrations[clip.id]!;
        return { angle: clip.angle as Angle, camera, field, spot, moves };
      }),
      asked: Object.fromEntries(
        starts.map(({ id, team }) => [
          askedKey(team, id),
          Array.from({ length: count + 1 }, (_, f) => asked(id, team, f / framesPerSecond)).filter((p) => p !== null),
        ]),
      ),
    };
    const grabber = new Grabber(films.value);
    const found = await follower.follow(job, count, (f) => grabber.at(first + f)).finally(() => grabber.close());
    if (found) await store.keepFollowed(keepTracks(found.tracks, ball, framesPerSecond, begin, found.carried));
  }

  /** Names the movement whenever other ways are kept. */
  watch(
    () => store.measuring.followed,
    (play) => {
      if (!play || !store.snap || store.tracks.length === 0) return readings.forget();
      readings.ask({
        own: playbook.ownTexts,
        settings: playbook.settings,
        words: playbook.words,
        call: store.snap.call,
        ...looksAt(store.tracks, play),
      });
    },
    { immediate: true },
  );

  return { ...follower, start, missing, readings: readings.whole };
}
