<script setup lang="ts">
import { computed } from 'vue';
import { identify } from '#core/identify/identify';
import type { Front } from '#core/model/front';
import type { Side } from '#core/model/side';
import { resolve } from '#core/movement/play';
import { usePlaybook } from '~/features/playbook/store';
import StillPicture from './StillPicture.vue';

/** A front as this program sees it, or a play against it as this program blocks it, to be looked at and not worked on. */
const props = defineProps<{ scheme: string | null; formation: string; front: string; side: Side; height: number }>();
const playbook = usePlaybook();

const drawn = computed(() => {
  const { book, settings, words } = playbook;
  const men = book.formation(props.formation);
  const theirs = men.ok ? book.front(props.front, men.value, settings) : men;
  if (!men.ok || !theirs.ok) return null;
  const front = theirs.value as Front;
  const compiled = props.scheme === null ? null : book.scheme(props.scheme);
  const call = { side: props.side, tags: [], without: [], settings, words, overrides: {} };
  const resolution = compiled?.ok ? resolve(compiled.value, men.value, front, call) : null;
  const identification = resolution?.identification ?? identify(men.value, front, { side: props.side, settings });
  return { formation: men.value, front, resolution, identification };
});
</script>

<template>
  <div class="picture">
    <StillPicture v-if="drawn" v-bind="drawn" :height="height" />
    <slot :resolution="drawn?.resolution ?? null" :identification="drawn?.identification ?? null" />
  </div>
</template>

<style scoped>
.picture {
  min-width: 0;
}
</style>
