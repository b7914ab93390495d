<script setup lang="ts">
import { useSeenSize } from '~/features/board/seen-size';
import { computed, ref } from 'vue';
import { readFormation } from '#core/language/lineups/read-formation';
import { readFront } from '#core/language/lineups/read-front';
import type { Resolution } from '#core/model/resolution';
import type { Call } from '#core/model/snap';
import { placesAt, stepAt } from '#core/movement/run/places-at';
import { runPlay } from '#core/movement/run/run';
import LineBoard from '~/features/board/LineBoard.vue';
import { boardScale, PASS_DEPTH } from '~/features/board/scale';
import { usePlaybook } from '~/features/playbook/store';

/** What was asked on a snap, run on the board as far as the film has come. */
const props = defineProps<{
  call: Call;
  resolution: Resolution;
  /** From the snap; negative before it. */
  seconds: number;
  selected: string | null;
}>();
const emit = defineEmits<{ select: [id: string] }>();
const playbook = usePlaybook();

/** As long as a play on film. */
const LONGEST = 6;
const area = ref<HTMLElement | null>(null);
const { width, height } = useSeenSize(area);
const lined = computed(() => {
  const formation = readFormation(props.call.formation, 'called', props.call.formationName);
  if (!formation.ok) return null;
  const front = readFront(props.call.front, formation.value, 'called', props.call.frontName, playbook.settings);
  return front.ok ? { formation: formation.value, front: front.value } : null;
});
const run = computed(
  () => lined.value && runPlay(lined.value.formation, lined.value.front, props.resolution, { seconds: LONGEST }),
);
const places = computed(() => (run.value ? placesAt(run.value, stepAt(run.value, props.seconds)) : null));
const scale = computed(() => {
  if (!lined.value || width.value === 0) return null;
  const shallow = props.resolution.passing ? PASS_DEPTH : -18;
  return boardScale(lined.value.formation, width.value, height.value, { front: lined.value.front, shallow, far: 24 });
});
</script>

<template>
  <figure ref="area" aria-label="What was asked, on the board">
    <figcaption>asked</figcaption>
    <LineBoard
      v-if="lined && scale"
      :formation="lined.formation"
      :front="lined.front"
      :identification="resolution.identification"
      :resolution="resolution"
      :scale="scale"
      :columns="[]"
      :selected="selected"
      :numbers="{}"
      :movable="false"
      :places="places"
      @select="emit('select', $event)"
    />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  position: relative;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  background: var(--turf);
}
figcaption {
  position: absolute;
  top: 0;
  left: 0;
  padding: 1px 8px;
  font-size: 12px;
  color: var(--soft);
}
</style>
