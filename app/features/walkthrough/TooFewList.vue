<script setup lang="ts">
import type { TooFew } from '#core/compare/too-few';
import type { Change } from '#core/compare/mend';
import { upperFirst } from '~/features/board/words';

defineProps<{ few: TooFew }>();
defineEmits<{ make: [change: Change] }>();
</script>

<template>
  <section>
    <h2>{{ few.who }} is one more than you have</h2>
    <ul>
      <li v-for="a in few.answers" :key="a.says">
        <button v-if="a.change" class="plain link" type="button" @click="$emit('make', a.change)">
          {{ upperFirst(a.says) }}
        </button>
        <b v-else class="says">{{ upperFirst(a.says) }}</b>
        <span class="soft">{{ ' ' }}{{ a.costs }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped src="./side-list.css"></style>
<style scoped>
.says {
  font-weight: 600;
}
</style>
