<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Look } from './store';

const props = defineProps<{ looks: readonly Look[]; address: Record<string, string>; working: boolean }>();
const changed = computed(() => props.looks.filter((l) => l.before !== null && l.before !== l.verdict));
const sound = computed(() => props.looks.filter((l) => l.verdict === 'sound').length);
const pointed = ref<Look | null>(null);
const RANK = { sound: 0, 'at risk': 1, broken: 2 } as const;
const effect = (l: Look): string =>
  l.before === null || l.before === l.verdict ? '' : RANK[l.verdict] < RANK[l.before] ? 'mended' : 'made worse';
</script>

<template>
  <section aria-label="What it does to every front">
    <h2>
      <template v-if="working && !looks.length">Every front is being asked …</template>
      <template v-else>{{ sound }} of {{ looks.length }} fronts sound</template
      ><span v-if="changed.length" class="changed">, {{ changed.length }} changed by this edit</span>
    </h2>
    <ul>
      <li v-for="l in looks" :key="l.id" :class="{ moved: effect(l) }">
        <NuxtLink
          :to="{ path: '/walkthrough', query: { ...address, front: l.id } }"
          @mouseenter="pointed = l"
          @focus="pointed = l"
        >
          <VerdictShape :verdict="l.verdict" /> <b>{{ l.name }}</b><span
            v-if="effect(l)"
            class="effect"
            :class="effect(l).replace(' ', '-')"
            >{{ effect(l) }}</span
          >
          <span class="visually-hidden">{{ l.verdict }}. {{ l.sentence }}</span>
        </NuxtLink>
      </li>
    </ul>
    <p class="soft why">
      {{
        pointed
          ? `${pointed.name}, ${pointed.verdict}${effect(pointed) ? ` (was ${pointed.before})` : ''}: ${pointed.sentence || 'everybody has somebody.'}`
          : 'Point at a front to read why; press it to walk through.'
      }}
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  align-content: start;
}
.changed {
  color: var(--violet);
}
ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
}
li a {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 2px 0;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px solid var(--rule);
  font-size: 12.5px;
  font-variation-settings: var(--narrow);
  min-height: 24px;
  line-height: 1.15;
}
li a:hover b {
  color: var(--violet);
}
b {
  font-weight: 550;
}
.why {
  font-size: 12.5px;
  min-height: 36px;
}
.effect {
  font-weight: 650;
  font-size: 12.5px;
}
.mended {
  color: var(--sound);
}
.made-worse {
  color: var(--broken);
}
.moved {
  background: var(--wash);
}
</style>
