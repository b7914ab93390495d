<script setup lang="ts">
/** One of several, named down the side: what is open is marked, `done` ones have a tick. */
defineProps<{
  items: readonly { readonly id: string; readonly name: string }[];
  label: string;
  /** Those that are done; given, the others are numbered. */
  done?: readonly string[];
}>();
const open = defineModel<string>({ required: true });
</script>

<template>
  <nav :aria-label="label">
    <button
      v-for="(item, i) in items"
      :key="item.id"
      class="plain"
      type="button"
      :aria-current="item.id === open ? 'step' : undefined"
      @click="open = item.id"
    >
      <template v-if="done">
        <span class="tick" aria-hidden="true">{{ done.includes(item.id) ? '✓' : i + 1 }}</span>
        <span class="visually-hidden">{{ done.includes(item.id) ? 'taken: ' : '' }}</span>
      </template>
      {{ item.name }}
    </button>
  </nav>
</template>

<style scoped>
nav {
  display: grid;
  gap: 2px;
}
button {
  padding: 6px 8px;
  border-left: 3px solid transparent;
  color: var(--soft);
}
button[aria-current] {
  border-color: var(--violet);
  background: var(--wash);
  color: var(--ink);
  font-weight: 650;
}
.tick {
  display: inline-block;
  width: 18px;
}
</style>
