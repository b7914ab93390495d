<script setup lang="ts">
/** A cell of a table that is filled in: what was written counts when one leaves it. */
withDefaults(
  defineProps<{
    value: string | number;
    label: string;
    type?: 'text' | 'number' | 'date';
    most?: number;
    narrow?: boolean;
  }>(),
  { type: 'text', most: 80 },
);
const emit = defineEmits<{ write: [value: string] }>();
</script>

<template>
  <input
    v-typed
    class="field"
    :class="{ narrow }"
    :type="type"
    :value="value"
    :maxlength="type === 'text' ? most : undefined"
    :aria-label="label"
    @change="emit('write', ($event.target as HTMLInputElement).value)"
  />
</template>

<style scoped>
input {
  width: 100%;
  min-width: 90px;
}
input.narrow {
  min-width: 0;
  width: 58px;
}
</style>
