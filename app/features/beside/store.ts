import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { bentTracks } from '#core/film/follow/keep';
import { meetingsOf } from '#core/film/follow/events';
import type { Track } from '#core/film/follow/follow';
import type { Calibration } from '#core/model/calibration';
import type { SnapView } from '#core/model/snap-view';
import type { Measuring } from '#core/model/measured';
import type { Angle } from '#core/model/angle';
import type { Found } from '~/features/measure/where-is';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';

/** One rep: a snap with what was measured on its film. */
export interface Rep extends Found {
  readonly snap: SnapView;
  readonly tracks: readonly Track[];
}

async function fetchRep(id: number): Promise<Rep> {
  const [snap, view] = await Promise.all([
    request<SnapView>(`/api/snaps/${id}`),
    request<{ measuring: Measuring; calibrations: Record<number, Calibration> }>(`/api/snaps/${id}/measuring`),
  ]);
  const { followed, bends } = view.measuring;
  return { snap, ...view, tracks: followed ? bentTracks(followed, bends) : [] };
}

/** Two reps that are seen side by side. */
export const useBeside = defineStore('beside', () => {
  const reps = shallowRef<readonly Rep[]>([]);
  const problem = ref('');
  const attempt = attempting(problem);
  const asked = onlyNewest();
  function open(one: number, two: number): Promise<boolean> {
    const isNewest = asked.begin();
    return attempt(async () => {
      reps.value = [];
      const both = await Promise.all([fetchRep(one), fetchRep(two)]);
      if (isNewest()) reps.value = both;
    }, isNewest);
  }
  return { reps, problem, open };
});

/** A man's own first contact on a clip as it was followed, else the first contact anybody has marked on it; and which of the two it is. */
export function firstContact(
  { tracks, measuring: { followed } }: Pick<Rep, 'tracks' | 'measuring'>,
  clip: SnapView['clips'][number],
  man: string | null,
): { readonly frame: number; readonly own: boolean } {
  const met = followed && meetingsOf(tracks, followed.framesPerSecond).find((m) => m.blocker === man);
  if (!followed || !met) return { frame: clip.contactFrame, own: false };
  const seconds = followed.start + met.from / followed.framesPerSecond;
  const frame = Math.round(clip.snapFrame + seconds * clip.framesPerSecond);
  return { frame: Math.max(0, Math.min(clip.frames - 1, frame)), own: true };
}

/** The clip of a rep from an angle, its contact being the man's own where that is known; `null` without film from there. */
export function clipFor(rep: Rep, angle: Angle, man: string | null) {
  const clip = rep.snap.clips.find((c) => c.angle === angle);
  if (!clip) return null;
  const { frame, own } = firstContact(rep, clip, man);
  return { ...clip, contactFrame: frame, own };
}
