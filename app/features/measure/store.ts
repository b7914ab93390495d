import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { workCall, type WorkedCall } from '#core/calls/resolve-call';
import { bentTracks } from '#core/film/follow/keep';
import { placesOf, type Calibrations } from '#core/film/alignment/places';
import type { Calibration, CalibrationInput, Pixel } from '#core/model/calibration';
import {
  keyOfClick,
  NOTHING_MEASURED,
  type Bend,
  type FollowedPlay,
  type Measuring,
  type StanceClicks,
  type Team,
} from '#core/model/measured';
import type { Call } from '#core/model/snap';
import type { Angle } from '#core/model/angle';
import type { SnapView } from '#core/model/snap-view';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import { useDesks, type Measured } from './desks';

interface MeasuringView extends Measured {
  readonly calibrations: Record<number, Calibration>;
  readonly offered: Record<number, Offered>;
}
/** The camera of another snap, which may not have moved since. */
interface Offered {
  readonly snap: number;
  readonly calibration: Calibration;
}

/** What is measured on the film of one snap. Every change is sent when it is made, or when there is a connection again. */
export const useMeasure = defineStore('measure', () => {
  const playbook = usePlaybook();
  const snap = shallowRef<SnapView | null>(null);
  const measuring = shallowRef<Measuring>(NOTHING_MEASURED);
  const calibrations = shallowRef<Readonly<Record<number, Calibration>>>({});
  /** Cameras of other snaps, for clips that have none. */
  const offered = shallowRef<Readonly<Record<number, Offered>>>({});
  const problem = ref('');
  const asked = onlyNewest();
  const attempt = attempting(problem, 'What you clicked is still here; try once more when it is back.');
  const session = useSession();
  const desks = useDesks({
    user: () => session.member?.userId ?? null,
    problem,
    show: (id, whole) => {
      if (snap.value?.id === id) measuring.value = whole;
    },
  });

  function open(id: number): Promise<boolean> {
    const isNewest = asked.begin();
    return attempt(async () => {
      const [found, view] = await Promise.all([request<SnapView>(`/api/snaps/${id}`), desks.open<MeasuringView>(id)]);
      if (!isNewest()) return;
      snap.value = found;
      measuring.value = desks.wholeOf(id);
      calibrations.value = view.calibrations;
      offered.value = view.offered;
    }, isNewest);
  }

  /** The call as it is worked out today: whose places and ways are asked. `null` while it cannot be. */
  const call = computed<WorkedCall | null>(() => {
    if (!snap.value) return null;
    const { book, settings, words } = playbook;
    const worked = workCall(snap.value.call, { playbook: book, settings, words });
    return worked.ok ? worked.value : null;
  });
  /** Cameras by angle. */
  const cameras = computed<Calibrations>(() =>
    Object.fromEntries(
      (snap.value?.clips ?? []).flatMap((c) => (calibrations.value[c.id] ? [[c.angle, calibrations.value[c.id]]] : [])),
    ),
  );
  const places = computed(() => placesOf({ seconds: 0, feet: measuring.value.atSnap }, cameras.value));
  const tracks = computed(() =>
    measuring.value.followed ? bentTracks(measuring.value.followed, measuring.value.bends) : [],
  );

  /** Shows a change and sends it: true once it has arrived. */
  function change(next: Measuring): Promise<boolean> {
    measuring.value = next;
    return desks.change(snap.value!.id, next);
  }

  /** Says where a man's feet are at the snap; `null` takes the click away. */
  function setFeet(id: string, team: Team, angle: Angle, pixel: Pixel | null): Promise<boolean> {
    const rest = measuring.value.atSnap.filter((f) => keyOfClick(f) !== keyOfClick({ id, team, angle }));
    return change({ ...measuring.value, atSnap: pixel ? [...rest, { id, team, angle, pixel }] : rest });
  }
  /** Says where both feet of a man are at the snap; `null` takes the clicks away. */
  function setStance(
    man: { id: string; team: Team },
    angle: Angle,
    pixels: StanceClicks['pixels'] | null,
  ): Promise<boolean> {
    const his = { id: man.id, team: man.team, angle };
    const rest = measuring.value.stances.filter((s) => keyOfClick(s) !== keyOfClick(his));
    return change({ ...measuring.value, stances: pixels ? [...rest, { ...his, pixels }] : rest });
  }
  const keepFollowed = (followed: FollowedPlay | null): Promise<boolean> =>
    change({ ...measuring.value, followed, bends: [] });
  /** Says where a man was at a moment; one place a moment and man. */
  function bend(at: Bend): Promise<boolean> {
    const rest = measuring.value.bends.filter(
      (b) => b.id !== at.id || b.team !== at.team || Math.abs(b.seconds - at.seconds) > 1e-6,
    );
    return change({ ...measuring.value, bends: [...rest, at] });
  }
  const unbend = (id: string, team: Team): Promise<boolean> =>
    change({ ...measuring.value, bends: measuring.value.bends.filter((b) => b.id !== id || b.team !== team) });

  const calibrate = (clip: number, input: CalibrationInput): Promise<boolean> =>
    attempt(async () => {
      const found = await request<Calibration>(`/api/clips/${clip}/calibration`, { method: 'PUT', body: { ...input } });
      calibrations.value = { ...calibrations.value, [clip]: found };
    });

  /** Keeps what was called or shown with the snap; gives the men whose grades were given against something else. */
  async function changeCall(next: Call, confirmed: boolean): Promise<string[]> {
    let affected: string[] = [];
    await attempt(async () => {
      const { id } = snap.value!;
      const answer = await request<{ affected: string[]; changed: boolean }>(`/api/snaps/${id}/call`, {
        method: 'PUT',
        body: { call: next, confirmed },
      });
      if (answer.changed) snap.value = await request<SnapView>(`/api/snaps/${id}`);
      else affected = answer.affected;
    });
    return affected;
  }

  return {
    snap,
    measuring,
    calibrations,
    offered,
    problem,
    notice: desks.notice,
    waits: desks.waits,
    sendAgain: desks.sendAgain,
    call,
    cameras,
    places,
    tracks,
    open,
    setFeet,
    setStance,
    keepFollowed,
    bend,
    unbend,
    calibrate,
    changeCall,
  };
});
