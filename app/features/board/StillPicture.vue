<script setup lang="ts">
import { useSeenSize } from '~/features/board/seen-size';
import { computed, ref } from 'vue';
import type { Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';
import type { Identification } from '#core/model/identification';
import type { Resolution } from '#core/model/resolution';
import LineBoard from './LineBoard.vue';
import { boardScale, PASS_DEPTH } from './scale';

/** Two teams as wide as there is room, to be looked at and not worked on. */
const props = defineProps<{
  formation: Formation;
  front: Front;
  identification: Identification;
  resolution: Resolution | null;
  height: number;
  /** Only these men of ours are looked at. */
  only?: ReadonlySet<string>;
}>();
const area = ref<HTMLElement | null>(null);
const { width } = useSeenSize(area);
const scale = computed(() =>
  boardScale(props.formation, Math.max(300, width.value), props.height, {
    front: props.front,
    ...(props.resolution?.passing ? { shallow: PASS_DEPTH } : {}),
  }),
);
</script>

<template>
  <div ref="area" class="picture">
    <LineBoard
      v-if="width > 0"
      :formation="formation"
      :front="front"
      :identification="identification"
      :resolution="resolution"
      :scale="scale"
      :columns="[]"
      :selected="null"
      :numbers="{}"
      :movable="false"
      :only="only"
    />
  </div>
</template>

<style scoped>
.picture {
  min-width: 0;
}
</style>
