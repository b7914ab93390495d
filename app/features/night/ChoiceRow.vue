<script setup lang="ts">
/** Words to tap beside each other on a sideline, any of them chosen. */
defineProps<{ name: string; says: string; choices: readonly string[]; chosen: readonly string[] }>();
const emit = defineEmits<{ tap: [choice: string] }>();
</script>

<template>
  <div class="row" role="group" :aria-label="name">
    <span class="soft">{{ says }}</span>
    <button
      v-for="c in choices"
      :key="c"
      class="plain"
      type="button"
      :aria-pressed="chosen.includes(c)"
      @click="emit('tap', c)"
    >
      {{ c }}
    </button>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding-top: 6px;
}
button {
  min-width: 44px;
  min-height: 44px;
  padding: 4px 10px;
  border: 1px solid var(--soft);
  border-radius: 3px;
  text-align: center;
}
[aria-pressed='true'] {
  border-color: var(--violet);
  color: var(--violet);
  font-weight: 700;
}
</style>
