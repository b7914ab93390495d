import { computed, ref, watch, type Ref } from 'vue';
import { sayStance, stanceOf } from '#core/film/alignment/stance';
import type { Angle } from '#core/model/angle';
import type { Pixel } from '#core/model/calibration';
import { LINE_SEATS } from '#core/model/formation';
import { manOn, type Named } from './men';
import type { FilmClip } from './steps';
import { useMeasure } from './store';

const isLineman = ({ id, team }: Named): boolean => team === 'offence' && LINE_SEATS.some((seat) => seat === id);
/** Left and right are the offence's. */
const isMeasured = ({ team }: Named): boolean => team === 'offence';

/** Both feet of each lineman at the snap, two clicks a man, from the left, and of whom else of ours one names: how he stands. */
export function useStances(lead: Readonly<Ref<FilmClip | null>>, men: Readonly<Ref<readonly Named[]>>) {
  const store = useMeasure();
  /** Clicks go to single feet. */
  const isOn = ref(false);
  const line = computed(() => men.value.filter(isLineman));
  const chosen = ref<Named | null>(null);
  const hasStance = ({ id }: Named): boolean =>
    store.measuring.stances.some((s) => s.id === id && s.angle === lead.value?.angle);
  const next = computed(() => chosen.value ?? line.value.find((m) => !hasStance(m)) ?? null);
  /** The first foot of two. */
  const foot = ref<Pixel | null>(null);
  // The other foot is looked for in the same picture.
  watch(
    () => lead.value?.id,
    () => (foot.value = null),
    { flush: 'sync' },
  );

  function point(pixel: Pixel): void {
    const man = next.value;
    if (!man || !lead.value) return;
    if (!foot.value) return void (foot.value = pixel);
    void store.setStance(man, lead.value.angle as Angle, [foot.value, pixel]);
    [foot.value, chosen.value] = [null, null];
  }
  /** Takes the last foot back, else the last stance of this angle. */
  function takeAway(): void {
    if (foot.value) return void (foot.value = null);
    const last = store.measuring.stances.filter((s) => s.angle === lead.value?.angle).at(-1);
    if (last) void store.setStance(last, last.angle, null);
  }
  function choose(man: Named | null): void {
    [chosen.value, foot.value] = [man, null];
  }
  const man = (by: number): void => choose(manOn(line.value, next.value, by));
  function toggle(): void {
    isOn.value = !isOn.value;
    choose(null);
  }
  /** How a man stands, in words; nothing before both his feet were clicked, or while no camera is known. */
  function sayOf({ id, team }: Named): string {
    const clicks = store.measuring.stances.filter((s) => s.id === id && s.team === team);
    const stance = stanceOf(clicks, store.cameras);
    return stance ? sayStance(stance) : '';
  }
  return { isOn, next, foot, point, takeAway, choose, man, toggle, sayOf, isMeasured };
}
export type Stances = ReturnType<typeof useStances>;
