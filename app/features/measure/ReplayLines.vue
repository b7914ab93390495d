<script setup lang="ts">
import { REPLAY_KNOWS } from '#core/reports/replay-lines';
import type { ReplayLine } from './replays';

defineProps<{ lines: readonly ReplayLine[] }>();
/** The key of the one that is drawn on the film. */
const chosen = defineModel<string>({ required: true });
</script>

<template>
  <section aria-labelledby="run-again">
    <h2 id="run-again">Run again</h2>
    <ul>
      <li v-for="l in lines" :key="l.key" :class="{ chosen: l.key === chosen }">
        <label>
          <input v-model="chosen" type="radio" name="run-again" :value="l.key" />
          <b>{{ l.name }}</b>
        </label>
        <span>{{ l.says }}</span>
      </li>
    </ul>
    <p class="soft">{{ REPLAY_KNOWS }}</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 13px;
  margin: 12px 0 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 13px;
}
li {
  padding: 4px 6px;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 2px;
}
.chosen {
  background: var(--wash);
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
}
input {
  accent-color: var(--violet);
  margin: 0;
}
p {
  margin: 6px 0;
}
</style>
