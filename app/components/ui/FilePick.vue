<script setup lang="ts">
import { ref } from 'vue';

/** A button that lets files be chosen, the same ones again as well. */
withDefaults(defineProps<{ label: string; accept: string; multiple?: boolean; look?: 'link' | 'strong' }>(), {
  look: 'link',
});
const emit = defineEmits<{ picked: [files: readonly File[]] }>();
const picker = ref<HTMLInputElement | null>(null);

function take(event: Event): void {
  const input = event.target as HTMLInputElement;
  const files = [...(input.files ?? [])];
  input.value = '';
  if (files.length > 0) emit('picked', files);
}
</script>

<template>
  <span>
    <button :class="look === 'link' ? 'plain link' : 'strong'" type="button" @click="picker?.click()"><slot /></button>
    <input
      ref="picker"
      class="visually-hidden"
      type="file"
      :accept="accept"
      :multiple="multiple"
      tabindex="-1"
      :aria-label="label"
      @change="take"
    />
  </span>
</template>
