import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { feetNear, scaleOnGround } from '#core/film/alignment/assist';
import { frontAsMeasured } from '#core/film/alignment/front';
import { identify } from '#core/identify/identify';
import type { Pixel } from '#core/model/calibration';
import type { Angle } from '#core/model/angle';
import { usePlaybook } from '~/features/playbook/store';
import { manOn, menOf, whoseFeet, type Named } from './men';
import { feetOnPicture, NOTHING_DRAWN, stancesOnPicture } from './overlay';
import { useStances } from './stances';
import type { OnFilm, OnStep } from './steps';
import { useMeasure } from './store';

/** Step 2: everybody's feet at the snap, and the front that makes. */
export function useFeetStep({ lead, kept, picture, others }: OnFilm) {
  const store = useMeasure();
  const playbook = usePlaybook();
  const men = computed(() => (store.call ? menOf(store.call, playbook.settings) : []));
  /** The man somebody has named; without one it is the first who has not been clicked in this angle. */
  const chosen = ref<Named | null>(null);
  const isClicked = (man: Named): boolean =>
    store.measuring.atSnap.some((f) => f.id === man.id && f.team === man.team && f.angle === lead.value?.angle);
  const next = computed(() => chosen.value ?? men.value.find((m) => !isClicked(m)) ?? null);
  /** The front as it was measured; `null` before a defender was. */
  const read = computed(() =>
    store.call && store.places.some((p) => p.team === 'defence')
      ? frontAsMeasured(store.places, store.call.formation, store.call.front, playbook.settings)
      : null,
  );
  const family = computed(() => {
    if (!store.call || !read.value?.front.defenders.length) return 'not known yet';
    const { settings } = playbook;
    const { name, subNames } = identify(store.call.formation, read.value.front, { settings }).family;
    return [name, ...subNames].join(', ');
  });

  /** Whether a click goes to the feet it was meant for; a man who was named is where the click is. */
  const assists = useLocalStorage('violet-chalk-assist', true);
  function putRight(pixel: Pixel): Pixel {
    const scale = assists.value && !chosen.value && kept.value ? scaleOnGround(kept.value, pixel) : null;
    const shown = scale === null ? null : picture();
    return (shown && feetNear(shown, pixel, scale!, others())) ?? pixel;
  }

  const stances = useStances(lead, men);
  const step: OnStep = {
    point: (clicked) => {
      if (stances.isOn.value) return stances.point(clicked);
      const pixel = putRight(clicked);
      const his = kept.value && !chosen.value ? whoseFeet(pixel, men.value, kept.value, store.places) : null;
      const man = his ?? next.value;
      if (!man || !lead.value) return;
      void store.setFeet(man.id, man.team, lead.value.angle as Angle, pixel);
      chosen.value = null;
    },
    takeAway: () => {
      if (stances.isOn.value) return stances.takeAway();
      const last = store.measuring.atSnap.filter((f) => f.angle === lead.value?.angle).at(-1);
      if (last) void store.setFeet(last.id, last.team, last.angle, null);
    },
    man: (by) => (stances.isOn.value ? stances.man(by) : void (chosen.value = manOn(men.value, next.value, by))),
    drawn: (clip, leads) => {
      const calibration = store.calibrations[clip.id] ?? null;
      const { atSnap } = store.measuring;
      const wanted = leads ? (stances.isOn.value ? stances.next.value : next.value) : null;
      const there = feetOnPicture(men.value, atSnap, store.places, clip.angle, calibration, wanted);
      const apart = {
        stances: stancesOnPicture(store.measuring.stances, clip.angle),
        foot: leads ? stances.foot.value : null,
      };
      return { ...NOTHING_DRAWN, calibration, men: there, ...apart };
    },
  };
  return { ...step, men, chosen, next, read, family, assists, stances };
}
