<script setup lang="ts" generic="T extends string">
/** A few words of which at most one holds; the one that holds, pressed again, holds no more. */
defineProps<{ value: T | null | undefined; options: readonly T[]; say?: (option: T) => string }>();
defineEmits<{ choose: [value: T | null] }>();
</script>

<template>
  <button
    v-for="o in options"
    :key="o"
    class="plain"
    type="button"
    :aria-pressed="value === o"
    @click="$emit('choose', value === o ? null : o)"
  >
    {{ say ? say(o) : o }}
  </button>
</template>

<style scoped>
button:hover {
  color: var(--violet);
}
[aria-pressed='true'] {
  color: var(--violet);
  font-weight: 700;
}
</style>
