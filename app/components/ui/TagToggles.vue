<script setup lang="ts">
defineProps<{ tags: readonly { name: string; says: string; active: boolean }[] }>();
const emit = defineEmits<{ toggle: [name: string] }>();
</script>

<template>
  <span class="tags" role="group" aria-label="Tags">
    <button
      v-for="tag in tags"
      :key="tag.name"
      class="plain tag"
      type="button"
      :aria-pressed="tag.active"
      :title="tag.says"
      @click="emit('toggle', tag.name)"
    >
      {{ tag.name }}
    </button>
  </span>
</template>

<style scoped>
.tags {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 4px 6px;
}
.tag {
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 7px;
  font-size: 12.5px;
  color: var(--soft);
}
.tag[aria-pressed='true'] {
  border-color: var(--violet);
  color: var(--violet);
  font-weight: 650;
  background: var(--wash);
}
</style>
