<script setup lang="ts">
import { computed } from 'vue';
import { ANGLES } from '#core/model/angle';
import type { Cut } from '#core/film/recording/marks';
import { howMany } from '#core/vocabulary/how-many';
import { useRecording } from './store';
import { clockOf, lengthOf, saySnap, sayPaired } from './words';

/** Every cut, taken and suggested, and what is to become of them. */
defineProps<{ all: readonly Cut[]; inHand: Cut | null }>();
defineEmits<{ go: [cut: Cut]; pair: [] }>();

const store = useRecording();
const isTaken = (cut: Cut): boolean => store.cuts.includes(cut);
const otherAngle = computed(() => ANGLES.find((a) => a !== store.angle)!);
const paired = computed(() => sayPaired(store.shift, store.otherCuts.length, store.cuts.length));
</script>

<template>
  <aside aria-label="Cuts">
    <p>
      <label
        >from the
        <select v-model="store.angle" aria-label="Angle">
          <option v-for="a in ANGLES" :key="a" :value="a">{{ a }}</option>
        </select></label
      >
      <label
        >first is snap
        <input
          v-typed
          type="number"
          min="1"
          max="400"
          :value="store.first"
          aria-label="Number of the first snap"
          @change="store.startAt(Math.max(1, Number(($event.target as HTMLInputElement).value)))"
      /></label>
    </p>
    <p v-if="store.others.length">
      <label
        >the {{ otherAngle }} is
        <select v-model="store.other" aria-label="The other recording" @change="store.shift = null">
          <option :value="null">not cut with it</option>
          <option v-for="f in store.others" :key="f.id" :value="f.id">{{ f.name }}</option>
        </select></label
      >
      <button v-if="store.other !== null" class="plain link" type="button" @click="$emit('pair')">
        both show the same moment now
      </button>
      <span class="soft">{{ paired }}</span>
    </p>
    <p class="acts">
      <button v-if="store.cuts.length" class="strong" type="button" @click="store.make">
        Make {{ howMany(store.cuts.length + store.otherCuts.length, 'film') }}
      </button>
      <button v-if="store.suggested.length" class="plain link" type="button" @click="store.takeAll">
        Take all {{ store.suggested.length }}
      </button>
    </p>
    <p v-if="store.made" role="status">
      {{ howMany(store.made, 'film') }} on the way. <NuxtLink to="/film/in">See them come in, and log them</NuxtLink>
    </p>
    <ol>
      <li v-for="c in all" :key="`${c.from}`" :class="{ taken: isTaken(c), hand: c === inHand }">
        <button class="plain" type="button" @click="$emit('go', c)">
          <b>{{ isTaken(c) ? c.number : '·' }}</b> {{ clockOf(c.from, store.rate) }}, {{ lengthOf(c, store.rate) }}
          <span class="soft">{{ saySnap(c, store.rate) }}</span>
        </button>
      </li>
    </ol>
    <p v-if="store.motion && !all.length" class="soft">
      Nothing in it looks like a snap. Mark where each begins and where it is over.
    </p>
  </aside>
</template>

<style scoped>
aside {
  border-left: 1px solid var(--rule);
  padding: 4px 16px;
  overflow: auto;
  font-size: 13px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  padding: 4px 0;
  align-items: center;
}
input {
  width: 52px;
}
li {
  padding: 3px 6px;
  color: var(--soft);
}
.taken {
  color: var(--ink);
}
.hand {
  background: var(--wash);
  box-shadow: inset 3px 0 var(--violet);
}
</style>
