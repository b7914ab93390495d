<script setup lang="ts">
import { computed, ref } from 'vue';
import { readClipName } from '#core/film/incoming/name';
import type { FilmView } from '#core/model/film';
import { ANGLES, type Angle } from '#core/model/angle';
import { sayByClock, sayBytes, sayFilm } from '#core/reports/film-lines';
import { isRecording } from '~/features/recording/store';
import { useFilmIn } from './store';

const props = defineProps<{ film: FilmView }>();
const store = useFilmIn();

const named = computed(() => readClipName(props.film.name));
/** The snap its name says, when that one is logged. */
const guess = computed(() => store.snaps.find((s) => s.number === named.value.snap)?.id ?? null);
/** What the clock says, where the name says nothing. */
const clock = computed(() => store.byTime.find((p) => p.id === props.film.id) ?? null);
const byClock = computed(() => {
  const beside = store.films.find((f) => f.id === clock.value?.beside);
  return clock.value && beside ? sayByClock(clock.value.snap, beside.name) : '';
});
const snap = ref<number | null>(null);
const angle = ref<Angle | null>(null);
const chosenSnap = computed(() => snap.value ?? props.film.snap?.id ?? guess.value ?? clock.value?.snapId ?? null);
const chosenAngle = computed(
  () => angle.value ?? (props.film.snap?.angle as Angle) ?? named.value.angle ?? clock.value?.angle ?? ANGLES[0],
);
const isShown = computed(
  () => props.film.snap?.id === chosenSnap.value && props.film.snap?.angle === chosenAngle.value,
);
const isBusy = computed(() => props.film.state === 'waiting' || props.film.state === 'working');
const canRetry = computed(() => props.film.state === 'refused' || props.film.state === 'cancelled');
const asked = computed(() => (store.asked?.film === props.film.id ? store.asked : null));
</script>

<template>
  <li :class="film.state">
    <img v-if="film.state === 'ready'" :src="`/api/films/${film.id}/still`" alt="" loading="lazy" />
    <span v-else class="blank" aria-hidden="true" />
    <div class="what">
      <p>
        <b>{{ film.name }}</b> <span class="soft">{{ film.kind }}, {{ sayBytes(film.bytes) }}</span>
      </p>
      <p class="state" :role="film.state === 'refused' ? 'alert' : undefined">{{ sayFilm(film) }}</p>
      <p v-if="byClock" class="soft">{{ byClock }}</p>
      <progress v-if="film.state === 'working'" :value="film.progress || undefined" max="1" aria-label="Work done" />
      <p v-if="asked" class="ask" role="alertdialog" aria-label="Before that">
        {{ asked.says }}
        <button class="plain link" type="button" @click="asked.yes()">Do it</button>{{ ' ' }}
        <button class="plain link" type="button" @click="store.asked = null">Leave it</button>
      </p>
    </div>
    <div v-if="film.state === 'ready' && store.snaps.length" class="shows">
      <label
        >snap
        <select
          :value="chosenSnap ?? ''"
          :aria-label="`Snap ${film.name} shows`"
          @change="snap = Number(($event.target as HTMLSelectElement).value)"
        >
          <option v-if="chosenSnap === null" value="">
            {{ named.snap === null ? 'which?' : `${named.snap}, not logged` }}
          </option>
          <option v-for="s in store.snaps" :key="s.id" :value="s.id">{{ s.number }}</option>
        </select></label
      >
      <label
        >from the
        <select
          :value="chosenAngle"
          :aria-label="`Angle of ${film.name}`"
          @change="angle = ($event.target as HTMLSelectElement).value as Angle"
        >
          <option v-for="a in ANGLES" :key="a">{{ a }}</option>
        </select></label
      >
      <NuxtLink v-if="isShown" :to="`/film/${film.snap!.id}`">Watch</NuxtLink>
      <button
        v-else-if="chosenSnap !== null"
        class="plain link"
        type="button"
        @click="store.place(film.id, chosenSnap, chosenAngle)"
      >
        Show it there
      </button>
    </div>
    <span v-else class="shows" />
    <div class="acts">
      <NuxtLink v-if="isRecording(film)" :to="`/film/cut/${film.id}`">Cut into snaps</NuxtLink>
      <button v-if="isBusy" class="plain link" type="button" @click="store.steer(film.id, 'cancel')">Stop</button>
      <button v-if="canRetry" class="plain link" type="button" @click="store.steer(film.id, 'retry')">Try again</button>
      <a v-if="film.state === 'ready' && !film.cut" :href="`/api/films/${film.id}/original`" download>As it came</a>
      <button class="plain link" type="button" @click="store.remove(film.id)">Delete</button>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr) auto auto;
  gap: 6px 16px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
img,
.blank {
  width: 128px;
  aspect-ratio: 16 / 9;
  object-fit: cover;
  background: var(--turf);
  display: block;
}
.state {
  color: var(--soft);
  font-size: 13px;
}
.refused .state {
  color: var(--broken);
  font-weight: 600;
}
.ask {
  color: var(--risk);
  font-weight: 600;
}
progress {
  width: 220px;
  height: 8px;
  accent-color: var(--violet);
}
.shows,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: baseline;
  font-size: 13px;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 96px minmax(0, 1fr);
  }
  img,
  .blank {
    width: 96px;
  }
}
</style>
