<script setup lang="ts">
import { sayChange, type Change, type Mending } from '#core/compare/mend';
import { upperFirst } from '~/features/board/words';

defineProps<{ mendings: readonly Mending[] }>();
defineEmits<{ make: [change: Change] }>();
const SHOWN = 6;
</script>

<template>
  <section>
    <h2>What mends it</h2>
    <ul>
      <li v-for="m in mendings.slice(0, SHOWN)" :key="sayChange(m.change)">
        <button class="plain link" type="button" @click="$emit('make', m.change)">
          {{ upperFirst(sayChange(m.change)) }}
        </button>
        <span class="soft then">{{ m.verdict }}{{ m.left ? `, ${m.left} left` : '' }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped src="./side-list.css"></style>
<style scoped>
.then {
  margin-left: 7px;
}
</style>
