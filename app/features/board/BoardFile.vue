<script setup lang="ts">
import type { Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';
import type { Resolution } from '#core/model/resolution';
import { boardSvg } from '#core/paper/board-svg';
import { download } from '~/features/playbook/files';

/** The board as a drawing of its own, black on white, for a sheet or a slide somebody else makes. */
const props = defineProps<{
  formation: Formation;
  front: Front;
  resolution?: Resolution | null;
  /** What the file is called. */
  name: string;
}>();
function save(): void {
  const { formation, front, resolution } = props;
  const svg = boardSvg({ formation, front, ...(resolution ? { resolution } : {}) });
  download(`${props.name}.svg`, new Blob([svg], { type: 'image/svg+xml' }));
}
</script>

<template>
  <button class="plain link no-print" type="button" @click="save">As a drawing (SVG)</button>
</template>
