import { computed, ref, watch, type Ref } from 'vue';
import { askedPlaces } from '#core/film/follow/asked';
import { meetingsOf } from '#core/film/follow/events';
import type { Track } from '#core/film/follow/follow';
import { askedTracks } from '#core/film/follow/would-have';
import { mendsThatMatter, replayOf, type Mended, type Replay, type Replayable } from '#core/film/replay/replay';
import { askedOnFilm } from '#core/film/measures/measure';
import { sayReplay } from '#core/reports/replay-lines';
import type { Named } from './men';
import { useMeasure } from './store';

/** One way the play could have gone, by name, with what would have come of it. */
export interface ReplayLine {
  readonly key: string;
  readonly name: string;
  readonly says: string;
  readonly replay: Replay;
}

const keyOf = (mended: Mended): string => (typeof mended === 'string' ? mended : `alone ${mended.blocker}`);
const nameOf = (mended: Mended): string =>
  mended === 'nobody' ? 'As filmed' : mended === 'everybody' ? 'All as asked' : `${mended.blocker} as asked`;

/** The followed play run again: as it was, with each block mended that would have changed it and that of the man in hand, and with all. */
export function useReplays(inHand: Ref<Pick<Named, 'id' | 'team'> | null>) {
  const store = useMeasure();
  const play = computed<Replayable | null>(() => {
    const { followed } = store.measuring;
    if (!followed || !store.call) return null;
    const { framesPerSecond, start } = followed;
    const places = askedPlaces(store.call, { x: 0, y: 0 }, start);
    const { formation, resolution } = store.call;
    const asked = askedTracks(places, store.tracks, framesPerSecond);
    const meetings = meetingsOf(store.tracks, framesPerSecond);
    return { tracks: store.tracks, framesPerSecond, start, meetings, asked, ...askedOnFilm(formation, resolution) };
  });
  const mends = computed(() => (play.value ? mendsThatMatter(play.value) : []));
  const lines = computed<ReplayLine[]>(() => {
    const on = play.value;
    if (!on) return [];
    const blocks = new Set(mends.value.map((m) => m.blocker));
    const { id, team } = inHand.value ?? { id: '', team: 'defence' };
    if (team === 'offence' && on.assignments.some((a) => a.blocker === id && a.target !== null)) blocks.add(id);
    const ways: Mended[] = ['nobody', ...[...blocks].map((blocker) => ({ blocker })), 'everybody'];
    return ways.flatMap((mended) => {
      const replay = replayOf(on, mended);
      return replay ? [{ key: keyOf(mended), name: nameOf(mended), says: sayReplay(replay, on.pass), replay }] : [];
    });
  });

  /** Which of them is drawn on the film beside what was done; none when it is what was done. */
  const chosen = ref(keyOf('nobody'));
  watch(lines, (now) => {
    if (!now.some((l) => l.key === chosen.value)) chosen.value = keyOf('nobody');
  });
  const drawn = computed<readonly Track[]>(() => {
    const line = lines.value.find((l) => l.key === chosen.value);
    return line ? line.replay.tracks.filter((t) => !store.tracks.includes(t)) : [];
  });
  return { lines, chosen, drawn };
}
