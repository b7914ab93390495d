<script setup lang="ts">
import { ref } from 'vue';
import type { Attempt } from '~/features/session/attempt';
import { readFiles } from './files';
import { usePlaybook } from './store';

/** Takes .chalk files onto the shelves, all or none; what is wrong goes to whoever shows it. */
const props = defineProps<{ attempt: Attempt }>();
const emit = defineEmits<{ problem: [message: string] }>();
const playbook = usePlaybook();
const picker = ref<HTMLInputElement | null>(null);

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const { texts, problem } = await readFiles([...(input.files ?? [])]);
  input.value = '';
  emit('problem', problem);
  if (texts.length) await props.attempt(() => playbook.add(texts));
}
</script>

<template>
  <span>
    <button class="plain link" type="button" @click="picker?.click()"><slot>Import</slot></button>
    <input
      ref="picker"
      class="visually-hidden"
      type="file"
      accept=".chalk,text/plain"
      multiple
      tabindex="-1"
      aria-label="Files to import"
      @change="take"
    />
  </span>
</template>
