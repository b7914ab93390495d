<script setup lang="ts">
import { useDropZone } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { FILM_KINDS } from '#core/model/film';
import { sayGame } from '#core/model/game';
import { sayBytes, sayFilmsHere, sayNumbers, sayShowByClock } from '#core/reports/film-lines';
import FilmRow from './FilmRow.vue';
import OnTheWay from './OnTheWay.vue';
import { useFilmIn } from './store';
import { useUploads } from './uploads';

const store = useFilmIn();
const uploads = useUploads();
const picker = ref<HTMLInputElement | null>(null);
const zone = ref<HTMLElement | null>(null);
const newGame = ref(false);
const opponent = ref('');
const week = ref(1);
/** Against whom the opponent plays, where the film is of a game of his. */
const theirs = ref('');
const isTheirs = computed(() => store.kind === 'opponent');
const keepSound = ref(false);

onMounted(async () => {
  await store.open();
  await uploads.lookForUnfinished();
});
onBeforeUnmount(store.stop);
watch(
  () => uploads.arrived,
  () => void store.reload(),
);

function take(files: readonly File[]): void {
  uploads.add(files, { kind: store.kind, game: store.game, keepSound: keepSound.value });
}
const { isOverDropZone } = useDropZone(zone, { onDrop: (files) => store.opened && take(files ?? []) });
function pick(event: Event): void {
  const input = event.target as HTMLInputElement;
  take([...(input.files ?? [])]);
  input.value = '';
}
async function makeGame(): Promise<void> {
  if (await store.addGame(opponent.value, week.value, isTheirs.value ? theirs.value : null)) newGame.value = false;
}

const game = computed(() => store.games.find((g) => g.id === store.game) ?? null);
const room = computed(() => (store.free === null ? '' : `${sayBytes(store.free)} free on this machine`));
const interrupted = computed(
  () =>
    `${uploads.unfinished.join(', ')}: begun and not whole. Choose the same files again and they go on where they were.`,
);
const toLog = computed(() => `Log ${store.unlogged.length === 1 ? 'snap' : 'snaps'} ${sayNumbers(store.unlogged)}`);
const toPlace = computed(() => sayShowByClock(store.byTime.length));
const logged = computed(() => store.snaps.filter((s) => store.films.some((f) => f.snap?.id === s.id)).length);
const summary = computed(() => sayFilmsHere(store.films.length, logged.value, store.snaps.length));
const open = computed(() => store.snaps.at(-1)?.id ?? null);
</script>

<template>
  <div class="place">
    <header>
      <h1>Film in</h1>
      <label class="of"
        >of
        <select
          v-if="!newGame"
          :value="store.game ?? ''"
          aria-label="Game"
          @change="store.choose(Number(($event.target as HTMLSelectElement).value))"
        >
          <option v-for="g in store.games" :key="g.id" :value="g.id">{{ sayGame(g) }}</option>
        </select>
      </label>
      <form v-if="newGame" class="new" @submit.prevent="makeGame">
        <label>week <input v-model.number="week" type="number" min="0" max="60" aria-label="Week" /></label>
        <label v-if="isTheirs">of <input v-model="opponent" maxlength="80" required aria-label="Opponent" /></label>
        <label v-if="isTheirs"
          >against <input v-model="theirs" maxlength="80" required aria-label="Against whom they play"
        /></label>
        <label v-else>against <input v-model="opponent" maxlength="80" required aria-label="Opponent" /></label>
        <button class="plain link" type="submit">Add the game</button>
        <button class="plain link" type="button" @click="newGame = false">Leave it</button>
      </form>
      <button v-else class="plain link" type="button" @click="newGame = true">Another game</button>
      <span class="soft room">{{ room }}</span>
    </header>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>

    <section ref="zone" class="zone" :class="{ over: isOverDropZone }" aria-label="Bring film in">
      <fieldset>
        <legend class="visually-hidden">What it is of</legend>
        <label v-for="k in FILM_KINDS" :key="k" :class="{ chosen: store.kind === k }"
          ><input v-model="store.kind" type="radio" name="kind" :value="k" /> {{ k }}</label
        >
      </fieldset>
      <p v-if="isTheirs && game && !game.theirs && !newGame" class="soft">
        Film of an opponent belongs to a game of his: name it under “Another game”, and its snaps find it.
      </p>
      <p class="act">
        <button class="strong" type="button" :disabled="!store.opened" @click="picker?.click()">Choose clips</button>
        <span>or drop them here, both angles at once.</span>
      </p>
      <p class="soft">
        A name such as <i>snap 12 end zone</i> or <i>12 EZ</i> says which snap it shows; where one angle is placed, the
        cameras’ clocks say it of the other. Clips of any length and most kinds are taken; what browsers do not play
        frame by frame is written anew, and the file as it came is kept.
      </p>
      <details v-if="store.folder" class="soft drop">
        <summary>A camera that drops files</summary>
        Whatever is put into <code>{{ store.folder }}</code> on the machine that serves Violet Chalk comes in by itself,
        for the newest game, once it is whole.
        <button class="plain link" type="button" @click="store.reload">Look again</button>
      </details>
      <label class="sound"><input v-model="keepSound" type="checkbox" /> keep the sound</label>
      <input
        ref="picker"
        class="visually-hidden"
        type="file"
        accept="video/*,.mkv,.ts,.mts,.avi,.mov"
        multiple
        :disabled="!store.opened"
        tabindex="-1"
        aria-label="Films to bring in"
        @change="pick"
      />
    </section>

    <p v-if="uploads.unfinished.length" class="interrupted" role="status">{{ interrupted }}</p>
    <OnTheWay v-if="uploads.items.length" />

    <section v-if="store.unlogged.length" class="log" aria-label="Snaps to log">
      <p>
        <button class="strong" type="button" @click="store.logUnlogged">{{ toLog }}</button>
        <span class="soft">The films name them. They are called as the snap before; change that while you watch.</span>
      </p>
    </section>

    <section v-if="store.byTime.length" class="log" aria-label="Films the clock places">
      <p>
        <button class="strong" type="button" @click="store.placeByTime">{{ toPlace }}</button>
        <span class="soft"
          >They were shot at the same moments as films of the other angle. Look at one or two first.</span
        >
      </p>
    </section>

    <section class="list" aria-label="What came in">
      <p v-if="store.films.length" class="soft count">
        {{ summary }}
        <NuxtLink v-if="open" :to="`/film/${open}`">Watch</NuxtLink>
      </p>
      <ul v-if="store.films.length">
        <FilmRow v-for="f in store.films" :key="f.id" :film="f" />
      </ul>
      <p v-else-if="game && !uploads.items.length" class="empty">
        Nothing has come in for {{ sayGame(game) }}, since it was logged.
      </p>
    </section>
  </div>
</template>

<style scoped>
.place {
  padding: 0 20px 24px;
  max-width: 1180px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: baseline;
  padding: 12px 0;
  border-bottom: 1px solid var(--rule);
}
.of,
.new,
.new label {
  display: flex;
  gap: 6px;
  align-items: baseline;
}
.new {
  gap: 12px;
}
.new input[type='number'] {
  width: 56px;
}
.room {
  margin-left: auto;
  font-size: 13px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
  padding: 8px 0;
}
.zone {
  display: grid;
  gap: 8px;
  margin: 14px 0;
  padding: 14px 18px;
  border-left: 4px solid var(--violet);
  background: var(--wash);
}
.zone.over {
  outline: 2px dashed var(--violet);
}
.zone > p.soft {
  max-width: 720px;
  font-size: 13px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.chosen {
  font-weight: 650;
}
.act,
.log p {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
code {
  overflow-wrap: anywhere;
}
.drop {
  font-size: 13px;
  max-width: 720px;
}
.sound {
  font-size: 13px;
}
.interrupted {
  color: var(--risk);
  font-weight: 600;
  padding: 4px 0 10px;
}
.log {
  padding: 4px 0 12px;
}
.count {
  display: flex;
  gap: 14px;
  padding: 6px 0;
}
.empty {
  padding: 30px 0;
  max-width: 420px;
}
</style>
