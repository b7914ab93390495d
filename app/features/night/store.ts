import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Ways } from '#core/calls/resolve-call';
import { workCall } from '#core/calls/resolve-call';
import type { SnapItem } from '#core/model/game';
import type { NightSnap } from '#core/model/night';
import type { Call } from '#core/model/snap';
import type { PlannedLook, PlannedPlay } from '#core/model/week-plan';
import { asLog } from '#core/night/as-log';
import { changedMen } from '#core/night/changed-men';
import { nextPictures } from '#core/night/picture-changes';
import { signsSeen } from '#core/night/signs';
import { soundNow, summaryOf, theirWins } from '#core/night/summary';
import { newId } from '~/features/marks/new-id';
import { usePlan } from '~/features/plan/store';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { request } from '~/features/session/request';
import { useWeek } from '~/features/week/store';
import { dropTapped, keepTapped, tappedOf, type Tapped } from './box';

/** The game as it is tapped on the sideline: three taps a snap, on the device first, into the log when there is a connection. */
export const useNight = defineStore('night', () => {
  const week = useWeek();
  const plan = usePlan();
  const playbook = usePlaybook();
  const problem = ref('');
  const attempt = attempting(problem, 'Every snap is kept here; go on.');
  const turn = inTurn();

  const tapped = shallowRef<readonly Tapped[]>([]);
  const gameId = computed(() => week.game?.id ?? null);
  /** What lies on the device is being read; nothing is numbered before. */
  let reading: Promise<void> = Promise.resolve();
  watch(gameId, (id) => (reading = read(id)), { immediate: true });
  async function read(id: number | null): Promise<void> {
    const found = id === null ? [] : await tappedOf(id);
    if (gameId.value === id) tapped.value = found;
  }
  const snaps = computed<NightSnap[]>(() => tapped.value.map((t) => t.snap));
  const unsent = computed(() => tapped.value.filter((t) => !t.sent).length);

  const series = ref(1);
  watch(snaps, (all) => void (series.value = Math.max(series.value, ...all.map((s) => s.series))));
  /** What has been tapped of the snap that is on. */
  const play = shallowRef<PlannedPlay | null>(null);
  const look = shallowRef<PlannedLook | null>(null);
  const signs = shallowRef<readonly string[]>([]);
  const ways = computed<Ways>(() => ({ playbook: playbook.book, settings: playbook.settings, words: playbook.words }));
  const callOf = (p: PlannedPlay, l: Pick<PlannedLook, 'front' | 'frontName'>): Call => {
    const { scheme, side, tags, formation, formationName } = p;
    return { scheme, side, tags, formation, formationName, front: l.front, frontName: l.frontName, overrides: {} };
  };
  /** Who can have lost: whoever had somebody. */
  const seatsIn = (call: Call): string[] => {
    const worked = workCall(call, ways.value);
    return worked.ok ? worked.value.resolution.assignments.filter((a) => a.target !== null).map((a) => a.blocker) : [];
  };
  const seats = computed(() => (play.value && look.value ? seatsIn(callOf(play.value, look.value)) : []));
  const lastSeats = computed(() => {
    const last = snaps.value.at(-1);
    return last ? seatsIn(last.call) : [];
  });

  /** The third tap: who lost, or nobody. The snap lies on the device before anything else is done with it. */
  async function tap(lost: readonly string[]): Promise<void> {
    const [called, shown, seen, of] = [play.value, look.value, signs.value, gameId.value];
    if (!called || !shown || of === null) return;
    [play.value, look.value, signs.value] = [null, null, []];
    await reading;
    const number = Math.max(0, ...snaps.value.map((s) => s.number)) + 1;
    const snap: NightSnap = {
      ...{ id: newId(), number, series: series.value, call: callOf(called, shown), lost: [...lost] },
      ...{ signs: [...seen], at: new Date().toISOString() },
    };
    const entry: Tapped = { gameId: of, sent: false, snap };
    if (gameId.value === of) tapped.value = [...tapped.value, entry];
    await keepTapped(entry);
  }
  /** A sign of theirs that was seen, or was not after all. */
  const toggleSign = (sign: string): void =>
    void (signs.value = signs.value.includes(sign) ? signs.value.filter((s) => s !== sign) : [...signs.value, sign]);
  /** One more who lost on the last snap, or one less. */
  async function alsoLost(seat: string): Promise<void> {
    const last = tapped.value.at(-1);
    if (!last || last.sent) return;
    const { lost } = last.snap;
    const now = lost.includes(seat) ? lost.filter((s) => s !== seat) : [...lost, seat];
    const next = { ...last, snap: { ...last.snap, lost: now } };
    tapped.value = [...tapped.value.slice(0, -1), next];
    await keepTapped(next);
  }
  /** The last snap was none. */
  async function undo(): Promise<void> {
    const last = tapped.value.at(-1);
    if (!last || last.sent) return;
    tapped.value = tapped.value.slice(0, -1);
    await dropTapped([last.snap.id]);
  }
  const nextSeries = (): void => void series.value++;

  /** Puts what is not in the game's log yet into it; what somebody has logged under a number stays. */
  const putIntoLog = (): Promise<boolean> =>
    turn(() =>
      attempt(async () => {
        const id = gameId.value!;
        const mine = tapped.value.filter((t) => !t.sent);
        if (mine.length === 0) return;
        const there = await request<SnapItem[]>(`/api/games/${id}/snaps`);
        const entries = asLog(
          mine.map((t) => t.snap),
          new Set(there.map((s) => s.number)),
        );
        if (entries.length > 0) await request(`/api/games/${id}/log`, { method: 'PUT', body: { entries } });
        const sent = mine.map((t) => ({ ...t, sent: true }));
        for (const t of sent) await keepTapped(t);
        const ids = new Set(sent.map((t) => t.snap.id));
        tapped.value = tapped.value.map((t) => (ids.has(t.snap.id) ? { ...t, sent: true } : t));
      }),
    );

  const summary = computed(() => summaryOf(snaps.value, plan.plan));
  /** Who of theirs wins, and against whom. */
  const wins = computed(() =>
    theirWins(snaps.value, (call, seat) => {
      const worked = workCall(call, ways.value);
      return worked.ok ? (worked.value.resolution.assignments.find((a) => a.blocker === seat)?.target ?? null) : null;
    }),
  );
  /** What holds against what they have really shown. */
  const sound = computed(() => soundNow(plan.plan, plan.cells, snaps.value));

  /** The plan's signs, and what came of them. */
  const signsSoFar = computed(() => signsSeen(snaps.value, plan.plan.answers ?? []));

  /** "They show something else now": one call, the picture it was planned against, and the new one. */
  const asks = shallowRef<{ play: PlannedPlay; was: PlannedLook } | null>(null);
  const now = shallowRef<Pick<PlannedLook, 'front' | 'frontName'> | null>(null);
  /** What they may make of the picture it was planned against. */
  const nextOnes = computed(() => {
    if (!asks.value) return [];
    const worked = workCall(callOf(asks.value.play, asks.value.was), ways.value);
    return worked.ok ? nextPictures(worked.value.front, asks.value.was.frontName, worked.value.formation) : [];
  });
  const changed = computed(() =>
    asks.value && now.value ? changedMen(callOf(asks.value.play, asks.value.was), now.value, ways.value) : null,
  );

  return {
    ...{
      problem,
      tapped,
      snaps,
      unsent,
      series,
      play,
      look,
      signs,
      seats,
      lastSeats,
      summary,
      wins,
      sound,
      signsSoFar,
      asks,
      nextOnes,
      now,
      changed,
    },
    ...{ tap, toggleSign, alsoLost, undo, nextSeries, putIntoLog },
  };
});
