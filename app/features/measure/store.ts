import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { workCall, type WorkedCall } from '#core/calls/resolve-call';
import { bentTracks } from '#core/film/follow/keep';
import { placesOf, type Calibrations } from '#core/film/alignment/places';
import type { Calibration, CalibrationInput, Pixel } from '#core/model/calibration';
import {
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

interface MeasuringView {
  revision: number;
  measuring: Measuring;
  calibrations: Record<number, Calibration>;
  offered: Record<number, Offered>;
}
/** The camera of another snap, which may not have moved since. */
interface Offered {
  readonly snap: number;
  readonly calibration: Calibration;
}

/** What is measured on the film of one snap. Every change is sent when it is made, on the revision it was made on. */
export const useMeasure = defineStore('measure', () => {
  const playbook = usePlaybook();
  const snap = shallowRef<SnapView | null>(null);
  const measuring = shallowRef<Measuring>(NOTHING_MEASURED);
  const calibrations = shallowRef<Readonly<Record<number, Calibration>>>({});
  /** Cameras of other snaps, for clips that have none. */
  const offered = shallowRef<Readonly<Record<number, Offered>>>({});
  const problem = ref('');
  const saving = ref(0);
  const asked = onlyNewest();
  /** The snap that is open, with the revision its next change is made on. */
  let opened = { revision: 0 };
  /** Changes go one after the other: each is made on the revision of the one before. */
  let last: Promise<unknown> = Promise.resolve();

  const attempt = attempting(problem, 'What you clicked is still here; click once more when it is back.');

  const open = (id: number): Promise<boolean> =>
    attempt(async () => {
      const isNewest = asked.begin();
      // What was clicked on this very snap is written before it is read again.
      if (snap.value?.id === id) await last;
      const [found, view] = await Promise.all([
        request<SnapView>(`/api/snaps/${id}`),
        request<MeasuringView>(`/api/snaps/${id}/measuring`),
      ]);
      if (!isNewest()) return;
      snap.value = found;
      opened = { revision: view.revision };
      measuring.value = view.measuring;
      calibrations.value = view.calibrations;
      offered.value = view.offered;
    });

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

  /** Sends a change; when it is refused, what was there before stands again. */
  function change(next: Measuring): Promise<boolean> {
    const [before, of, on] = [measuring.value, snap.value!.id, opened];
    measuring.value = next;
    saving.value++;
    const sent = last.then(() =>
      attempt(async () => {
        const answer = await request<{ revision: number }>(`/api/snaps/${of}/measuring`, {
          method: 'PUT',
          body: { revision: on.revision, measuring: next },
        });
        on.revision = answer.revision;
      }),
    );
    last = sent.then((done) => {
      saving.value--;
      // Whatever was clicked after it was clicked on top of it: only an untouched change is taken back.
      if (!done && opened === on && measuring.value === next) measuring.value = before;
    });
    return sent;
  }

  /** Says where a man's feet are at the snap; `null` takes the click away. */
  function setFeet(id: string, team: Team, angle: Angle, pixel: Pixel | null): Promise<boolean> {
    const rest = measuring.value.atSnap.filter((f) => f.id !== id || f.team !== team || f.angle !== angle);
    return change({ ...measuring.value, atSnap: pixel ? [...rest, { id, team, angle, pixel }] : rest });
  }
  /** Says where both feet of a man are at the snap; `null` takes the clicks away. */
  function setStance(
    man: { id: string; team: Team },
    angle: Angle,
    pixels: StanceClicks['pixels'] | null,
  ): Promise<boolean> {
    const { id, team } = man;
    const rest = measuring.value.stances.filter((s) => s.id !== id || s.team !== team || s.angle !== angle);
    return change({ ...measuring.value, stances: pixels ? [...rest, { id, team, angle, pixels }] : rest });
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
    saving,
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
