<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { inSentence } from '#core/vocabulary/in-sentence';
import { computed } from 'vue';
import { MEASURES } from '#core/grade/book/measures';
import { PLAY_COUNTS, sayPlay } from '#core/grade/book/play-result';
import { sayBeside } from '#core/grade/say-grade';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { schemeName } from '~/features/board/scheme-names';
import { usePlaybook } from '~/features/playbook/store';
import { reelOf, useBook, type Opened } from './store';

/** The snaps a number was counted from, the misses and the shortest gains first; each leads to its film, all of them to be watched in a row. */
const props = defineProps<{ opened: Opened }>();
const book = useBook();
const playbook = usePlaybook();
const figure = computed(() =>
  props.opened.of === 'marks' ? MEASURES[props.opened.measure] : PLAY_COUNTS[props.opened.count],
);
const counted = computed(() => {
  const { of, total } = props.opened;
  if (of === 'marks') return `${howMany(total, 'mark')}, the misses first`;
  return `${howMany(total, 'snap')}, the shortest gains first`;
});
</script>

<template>
  <aside aria-label="Snaps behind the number">
    <h2>{{ opened.title }}: {{ figure.name.toLowerCase() }}</h2>
    <p class="ways">
      <NuxtLink v-if="opened.snaps.length" :to="reelOf(opened)">Watch them one after the other</NuxtLink>
      <span class="soft">{{ counted }}</span>
    </p>
    <ol v-if="opened.of === 'marks'">
      <li v-for="s in opened.snaps" :key="`${s.snapId} ${s.blocker}`">
        <NuxtLink :to="reelOf(opened, s)">
          <GradeMark :grade="s.grade" /> <b>Week {{ s.week }}, snap {{ s.number }}</b> <span>{{ s.blocker }}</span>
          <span class="soft line"
            >{{ BLOCKS[s.asked.block as BlockId]?.name ?? s.asked.block }}, {{ schemeName(s.scheme) }}
            {{ s.side }} against {{ inSentence(s.front) }}</span
          >
          <span v-if="sayBeside(s.grade, playbook.program.faults)" class="line">{{
            sayBeside(s.grade, playbook.program.faults)
          }}</span>
        </NuxtLink>
      </li>
    </ol>
    <ol v-else>
      <li v-for="p in opened.snaps" :key="p.snapId">
        <NuxtLink :to="reelOf(opened, p)">
          <b>Week {{ p.week }}, snap {{ p.number }}</b>
          <span class="soft line">{{ schemeName(p.scheme) }} {{ p.side }} against {{ inSentence(p.front) }}</span>
          <span class="line">{{ sayPlay(p) }}</span>
        </NuxtLink>
      </li>
    </ol>
    <button v-if="opened.snaps.length < opened.total" class="plain link" type="button" @click="book.more()">
      {{ opened.total - opened.snaps.length }} more
    </button>
  </aside>
</template>

<style scoped>
aside {
  border-left: 1px solid var(--rule);
  padding: 14px 16px;
  font-size: 13px;
  overflow: auto;
}
.ways {
  display: grid;
  gap: 2px;
  padding-top: 4px;
}
aside ol a {
  display: block;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  color: var(--ink);
  text-decoration: none;
}
aside ol a:hover b {
  color: var(--violet);
}
.line {
  display: block;
}
@media (max-width: 800px) {
  aside {
    border-left: 0;
    border-top: 2px solid var(--ink);
  }
}
</style>
