import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { cutsOf, inOther, putCut, renumber, type Cut } from '#core/film/recording/marks';
import { suggestPieces, type Motion } from '#core/film/recording/suggest';
import { RECORDING_FROM, type FilmView } from '#core/model/film';
import type { SnapItem } from '#core/model/game';
import { ANGLES, type Angle } from '#core/model/angle';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** How often it is asked whether the recording has been looked at, milliseconds. */
const ASK_EVERY = 1500;

/** A recording that is cut into snaps, and perhaps another one of the same moments. */
export const useRecording = defineStore('recording', () => {
  const film = shallowRef<FilmView | null>(null);
  const others = shallowRef<FilmView[]>([]);
  const motion = shallowRef<Motion | null>(null);
  /** Cuts nobody has taken yet, and those that are to be made. */
  const suggested = shallowRef<readonly Cut[]>([]);
  const cuts = shallowRef<readonly Cut[]>([]);
  const angle = ref<Angle>(ANGLES[0]);
  const first = ref(1);
  /** The other recording, and how much later it shows a moment, seconds; `null` while nobody has said. */
  const other = ref<number | null>(null);
  const shift = ref<number | null>(null);
  const problem = ref('');
  const made = ref(0);
  const attempt = attempting(problem, 'Your cuts are still here.');
  let timer: ReturnType<typeof setTimeout> | null = null;

  const rate = computed(() => film.value?.facts?.rate ?? 30);
  const frames = computed(() => film.value?.facts?.frames ?? 1);
  const otherFilm = computed(() => others.value.find((f) => f.id === other.value) ?? null);

  const open = (id: number): Promise<boolean> =>
    attempt(async () => {
      const { films } = await request<{ films: FilmView[] }>('/api/films');
      const found = films.find((f) => f.id === id);
      if (film.value?.id !== id) [cuts.value, suggested.value, motion.value, made.value] = [[], [], null, 0];
      film.value = found ?? null;
      if (!found) return void (problem.value = 'There is no such film in your program.');
      others.value = films.filter((f) => f.id !== id && isRecording(f) && f.gameId === found.gameId);
      [other.value, shift.value] = [null, null];
      const snaps = found.gameId === null ? [] : await request<SnapItem[]>(`/api/games/${found.gameId}/snaps`);
      const named = films.flatMap((f) => (f.gameId === found.gameId ? (/^snap (\d+) /.exec(f.name)?.[1] ?? []) : []));
      first.value = Math.max(0, ...snaps.map((s) => s.number), ...named.map(Number)) + 1;
      await look(id);
    });

  /** Asks for the motion of the recording until it is there. */
  async function look(id: number): Promise<void> {
    if (timer) clearTimeout(timer);
    const answer = await request<{ motion: Motion | null }>(`/api/films/${id}/motion`);
    if (film.value?.id !== id) return;
    if (!answer.motion) return void (timer = setTimeout(() => void attempt(() => look(id)), ASK_EVERY));
    motion.value = answer.motion;
    suggested.value = cutsOf(suggestPieces(answer.motion), rate.value, frames.value, first.value);
  }
  function stop(): void {
    if (timer) clearTimeout(timer);
    timer = null;
  }

  function startAt(number: number): void {
    first.value = number;
    cuts.value = renumber(cuts.value, number);
  }
  /** Takes a cut; suggestions it covers are taken with it. */
  function take(cut: Cut): void {
    cuts.value = putCut(cuts.value, cut, first.value);
    suggested.value = suggested.value.filter((s) => s.to < cut.from || s.from > cut.to);
  }
  const takeAll = (): void => [...suggested.value].forEach(take);
  const drop = (cut: Cut): void =>
    void (cuts.value = renumber(
      cuts.value.filter((c) => c.from !== cut.from),
      first.value,
    ));
  const dropSuggested = (cut: Cut): void => void (suggested.value = suggested.value.filter((c) => c.from !== cut.from));
  /** Says on which frame the ball is snapped in the cut around it; false where there is none. */
  function snapAt(frame: number): boolean {
    const around = cuts.value.find((c) => c.from <= frame && frame <= c.to);
    if (around) cuts.value = cuts.value.map((c) => (c === around ? { ...c, snap: frame } : c));
    return around !== undefined;
  }
  /** The same moment on both recordings, seconds of each. */
  const pairAt = (here: number, there: number): void => void (shift.value = there - here);

  /** Cuts of the other recording, as far as it holds them. */
  const otherCuts = computed(() => {
    const facts = otherFilm.value?.facts;
    return facts && shift.value !== null ? inOther(cuts.value, rate.value, facts, shift.value) : [];
  });

  /** Makes the cuts films, of both recordings when there are two. */
  const make = (): Promise<boolean> =>
    attempt(async () => {
      const send = async (id: number, of: Angle, all: readonly Cut[]): Promise<number> =>
        all.length
          ? (
              await request<{ films: number }>(`/api/films/${id}/cuts`, {
                method: 'POST',
                body: { angle: of, cuts: all },
              })
            ).films
          : 0;
      const otherAngle = ANGLES.find((a) => a !== angle.value)!;
      const mine = await send(film.value!.id, angle.value, cuts.value);
      made.value = mine + (other.value === null ? 0 : await send(other.value, otherAngle, otherCuts.value));
      if (made.value > 0 || mine === 0) cuts.value = [];
    });

  return {
    film,
    others,
    motion,
    suggested,
    cuts,
    angle,
    first,
    other,
    shift,
    problem,
    made,
    rate,
    frames,
    otherFilm,
    otherCuts,
    open,
    stop,
    startAt,
    take,
    takeAll,
    drop,
    dropSuggested,
    snapAt,
    pairAt,
    make,
  };
});

/** Whether a film holds several snaps. */
export const isRecording = ({ state, facts, cut }: FilmView): boolean =>
  state === 'ready' && !cut && (facts?.duration ?? 0) >= RECORDING_FROM;
