<script setup lang="ts">
import { computed } from 'vue';
import type { SnapView } from '#core/model/snap-view';
import type { useReel } from './reel';

/** Where one is among the snaps behind a number, what that mark says, and the way back to the number. */
const props = defineProps<{ reel: ReturnType<typeof useReel>; snap: SnapView | null }>();
const emit = defineEmits<{ go: [step: number] }>();

const count = computed(() => props.reel.snaps.value.length);
const current = computed(() => props.reel.current.value);
/** Where the reel was opened. */
const back = computed(() => {
  const query = new URLSearchParams(props.reel.words.value);
  const [game, user] = (query.get('apart') ?? '').split('-');
  if (user) return `/book/agreement?game=${game}&user=${user}`;
  query.delete('measure');
  query.delete('plays');
  return `/book?${query.toString()}`;
});
const where = computed(() => {
  const { week, number, who } = current.value!;
  return `${week === null ? 'Snap' : `Week ${week}, snap`} ${number}, ${who}`;
});
const isFilmed = computed(() => (props.snap?.clips.length ?? 0) > 0);
</script>

<template>
  <p class="reel" role="group" aria-label="Snaps behind a number">
    <NuxtLink :to="back">Back to the Book</NuxtLink>
    <span v-if="reel.problem.value" role="alert">{{ reel.problem.value }}</span>
    <template v-else-if="current">
      <button class="plain" type="button" :disabled="reel.at.value === 0" @click="emit('go', -1)"><kbd>↑</kbd></button>
      <b>{{ reel.at.value + 1 }} of {{ count }}</b>
      <button class="plain" type="button" :disabled="reel.at.value + 1 >= count" @click="emit('go', 1)">
        <kbd>↓</kbd> next
      </button>
      <span>{{ where }}: {{ current.says }}</span>
      <span v-if="snap && !isFilmed" class="soft">There is no film of this snap.</span>
    </template>
  </p>
</template>

<style scoped>
.reel {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  padding: 6px 20px;
  border-bottom: 1px solid var(--rule);
  background: var(--wash);
  font-size: 13px;
}
button:disabled {
  opacity: 0.4;
}
</style>
