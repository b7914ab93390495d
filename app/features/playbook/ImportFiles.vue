<script setup lang="ts">
import type { Attempt } from '~/features/session/attempt';
import { readFiles } from './files';
import { usePlaybook } from './store';

/** Takes .chalk files onto the shelves, all or none; what is wrong goes to whoever shows it. */
const props = defineProps<{ attempt: Attempt }>();
const emit = defineEmits<{ problem: [message: string] }>();
const playbook = usePlaybook();

async function take(files: readonly File[]): Promise<void> {
  const { texts, problem } = await readFiles(files);
  emit('problem', problem);
  if (texts.length) await props.attempt(() => playbook.add(texts));
}
</script>

<template>
  <FilePick label="Files to import" accept=".chalk,text/plain" multiple @picked="take"><slot>Import</slot></FilePick>
</template>
