<script setup lang="ts">
import { computed, ref } from 'vue';
import { workCall } from '#core/calls/resolve-call';
import type { Rep } from '#core/model/script';
import { walkthroughOf } from '~/features/plan/address';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlaybook } from '~/features/playbook/store';
import { useScripts } from './store';

/** One rep: what is called against what, whom it needs, and two taps for what came of it: good or not, then who. */
const props = defineProps<{ script: string; rep: Rep; at: number }>();
const scripts = useScripts();
const playbook = usePlaybook();
const mark = computed(() => scripts.markOf(props.script, props.at));
/** Who of us is asked for something in it, for the second tap. */
const seats = computed(() => {
  const ways = { playbook: playbook.book, settings: playbook.settings, words: playbook.words };
  const worked = workCall({ ...props.rep, overrides: {} }, ways);
  return worked.ok ? worked.value.resolution.assignments.filter((a) => a.target !== null).map((a) => a.blocker) : [];
});
const film = computed(() => scripts.filmOf(props.at));
const showsFilm = ref(false);
function tap(good: boolean): void {
  const same = mark.value?.good === good;
  void scripts.mark(props.script, props.at, same ? null : { good, missed: [] });
}
function missed(seat: string): void {
  const before = mark.value?.missed ?? [];
  const now = before.includes(seat) ? before.filter((s) => s !== seat) : [...before, seat];
  void scripts.mark(props.script, props.at, { good: false, missed: now });
}
</script>

<template>
  <li :class="{ good: mark?.good === true, not: mark?.good === false }">
    <b class="at">{{ at + 1 }}</b>
    <p class="call">
      <NuxtLink :to="walkthroughOf({ ...rep, times: 1 }, { ...rep, weight: 1, seen: '' })">{{
        sayPlayOf(rep)
      }}</NuxtLink>
      <span class="soft from">{{ rep.formationName }}</span>
    </p>
    <p class="look">{{ rep.frontName }}</p>
    <p class="bodies">
      {{ rep.bodies.join(' ') }}<span v-if="rep.cones.length" class="soft"> · cones: {{ rep.cones.join(' ') }}</span>
    </p>
    <p class="soft why">{{ rep.why }}</p>
    <p class="taps">
      <button class="plain" type="button" :aria-pressed="mark?.good === true" @click="tap(true)">good</button>
      <button class="plain" type="button" :aria-pressed="mark?.good === false" @click="tap(false)">not</button>
      <button v-if="film" class="plain" type="button" :aria-pressed="showsFilm" @click="showsFilm = !showsFilm">
        film
      </button>
    </p>
    <p v-if="mark && !mark.good" class="who" role="group" :aria-label="`Who missed rep ${at + 1}`">
      <button
        v-for="seat in seats"
        :key="seat"
        class="plain"
        type="button"
        :aria-pressed="mark.missed.includes(seat)"
        @click="missed(seat)"
      >
        {{ seat }}
      </button>
    </p>
    <div v-if="film && showsFilm" class="film">
      <video
        :src="`/api/films/${film.id}/play`"
        controls
        muted
        playsinline
        preload="metadata"
        :aria-label="`Rep ${at + 1} on film`"
      />
      <p>
        <b>{{ film.name }}</b>
        <button class="plain link" type="button" @click="scripts.repNotFilmed(at)">this rep was not filmed</button>
        <button class="plain link" type="button" @click="scripts.clipNoRep(at)">this clip shows no rep</button>
        <span class="soft">Everything after it moves with it.</span>
      </p>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 28px minmax(190px, 1.3fr) minmax(130px, 1fr) minmax(150px, 1fr) minmax(150px, 1fr) 178px;
  gap: 2px 12px;
  align-items: baseline;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
.at {
  font-size: 15px;
}
.call a {
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.call a:hover {
  color: var(--violet);
}
.from {
  margin-left: 6px;
}
.call .soft,
.why {
  font-size: 12.5px;
}
.bodies {
  word-spacing: 0.3em;
  font-variation-settings: var(--narrow);
}
.film {
  grid-column: 2 / -1;
  display: grid;
  grid-template-columns: minmax(240px, 480px) minmax(0, 1fr);
  gap: 12px;
  padding: 4px 0;
}
.film video {
  width: 100%;
  background: var(--rule);
}
.film p {
  display: grid;
  gap: 8px;
  justify-items: start;
  align-content: start;
}
.taps,
.who {
  display: flex;
  gap: 6px;
}
.taps button,
.who button {
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 3px 10px;
  min-width: 48px;
  text-align: center;
}
.who {
  grid-column: 2 / -1;
  flex-wrap: wrap;
}
.taps [aria-pressed='true'] {
  background: var(--violet);
  border-color: var(--violet);
  color: var(--on-violet);
  font-weight: 700;
}
.who [aria-pressed='true'] {
  border-color: var(--broken);
  color: var(--broken);
  font-weight: 700;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 28px minmax(0, 1fr) auto;
  }
  .look,
  .bodies,
  .why,
  .who {
    grid-column: 2 / -1;
  }
  .taps {
    grid-column: 3;
    grid-row: 1 / span 2;
  }
  .taps button,
  .who button {
    min-height: 44px;
    min-width: 52px;
  }
}
</style>
