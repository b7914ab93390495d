<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, ref, watch } from 'vue';
import { schemeName } from '~/features/board/scheme-names';
import { nameOfCall } from '#core/names/names';
import { usePlaybook } from '~/features/playbook/store';
import type { Grade } from '#core/model/grade';
import { sayGame, sayWhose, type GameItem, type SnapItem } from '#core/model/game';
import { isEmptyCut, type Cut } from '#core/film/log/cut';
import CutPanel from '~/features/cut/CutPanel.vue';
import { bestAndWorst, faultOf } from '~/features/beside/extremes';
import { gradedCount, useFilm } from './store';

const emit = defineEmits<{ cut: [cut: Cut] }>();

const film = useFilm();
const playbook = usePlaybook();
const list = ref<HTMLElement | null>(null);
const game = computed(() => film.games.find((g) => g.id === film.game) ?? null);
const done = computed(() => film.snaps.filter((s) => gradedCount(s) >= s.asked.length).length);

const nameOf = (g: GameItem): string => [g.season, sayGame(g, 'Week')].filter(Boolean).join(', ');
/** How far one is; of a game of theirs who plays whom, for which the list above has no room. */
const graded = computed(() => {
  const snaps = howMany(film.snaps.length, 'snap');
  if (film.theirs && game.value) return `${sayWhose(game.value)}: ${snaps}, nobody graded`;
  return `${snaps}, ${done.value} graded`;
});

/** The worst of the snap's marks stands for it. */
function worst(item: SnapItem): Grade | null {
  if (gradedCount(item) < item.asked.length) return null;
  return item.graded.map((g) => g.grade).sort((a, b) => faultOf(b) - faultOf(a))[0] ?? null;
}
/** The one man a cut is of. */
const man = computed(() => (film.cut.man?.length === 1 ? film.cut.man[0]! : null));
const extremes = computed(() => (man.value ? bestAndWorst(film.inCut, man.value) : null));

/** The call as the program says it; a play it has no name for by what its sheet is called. */
function callName(s: SnapItem): string {
  const said = nameOfCall(playbook.naming, {
    scheme: s.call.scheme,
    side: s.call.side,
    formation: null,
    motion: null,
    tags: [],
  });
  return said.ok ? said.value : `${schemeName(s.call.scheme)} ${s.call.side}`;
}

/** Of a game of theirs it is what they showed that one looks for. */
const nameOfSnap = (s: SnapItem): string => (film.theirs ? s.call.frontName : callName(s));

/** With the next picture: asked for before, the browser would lay out everything in the middle of its work. */
watch([() => film.snap?.id, () => film.snaps.length], () => {
  requestAnimationFrame(() => list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' }));
});
</script>

<template>
  <aside aria-label="Snaps">
    <select
      v-if="film.games.length > 1"
      :value="film.game ?? ''"
      aria-label="Game"
      @change="film.openGame(Number(($event.target as HTMLSelectElement).value))"
    >
      <option v-for="g in film.games" :key="g.id" :value="g.id">{{ nameOf(g) }}</option>
    </select>
    <h2 v-else>{{ game ? nameOf(game) : 'Snaps' }}</h2>
    <p class="soft">{{ graded }}</p>
    <p class="ways">
      <NuxtLink class="in" to="/film/in">Bring film in</NuxtLink>
      <NuxtLink v-if="film.game" class="in" :to="`/film/log/${film.game}`">Log</NuxtLink>
    </p>
    <p v-if="film.changedProblem" class="soft">
      What would be worked out otherwise today is not known: {{ film.changedProblem }}
    </p>
    <details v-if="film.changed.length" class="changed">
      <summary class="link">{{ film.changed.length }} worked out otherwise today</summary>
      <p class="soft">The grades stand against what was asked then.</p>
      <ul>
        <li v-for="c in film.changed" :key="c.id">
          <NuxtLink :to="`/film/${c.id}`">{{ c.number }}</NuxtLink>
          <span class="soft">{{ c.why ?? c.men.join(', ') }}</span>
        </li>
      </ul>
    </details>
    <CutPanel :cut="film.cut" :snaps="film.snaps" :count="film.inCut.length" @change="emit('cut', $event)" />
    <p v-if="film.inCut.length && !isEmptyCut(film.cut)" class="soft">{{ film.inCut.length }} of them</p>
    <p v-if="extremes">
      <NuxtLink
        class="in"
        :to="{ path: '/film/beside', query: { one: extremes.best.id, two: extremes.worst.id, man: man! } }"
        >his best beside his worst</NuxtLink
      >
    </p>
    <ol ref="list">
      <li v-for="s in film.inCut" :key="s.id">
        <NuxtLink
          :to="{ path: `/film/${s.id}`, query: film.cut }"
          :aria-current="s.id === film.snap?.id ? 'true' : undefined"
        >
          <span class="soft">{{ s.number }}</span>
          <span :title="`${schemeName(s.call.scheme)} ${s.call.side}`">{{ nameOfSnap(s) }}</span>
          <GradeMark v-if="worst(s)" :grade="worst(s)" :size="15" /><span v-else class="soft">{{
            gradedCount(s) ? `${gradedCount(s)}/${s.asked.length}` : ''
          }}</span>
        </NuxtLink>
      </li>
    </ol>
  </aside>
</template>

<style scoped>
aside {
  border-left: 1px solid var(--rule);
  padding: 12px 0 0;
  font-size: 13px;
  min-height: 0;
  overflow: auto;
}
select {
  margin: 0 14px;
  max-width: calc(100% - 28px);
  font: inherit;
  font-weight: 700;
  color: var(--ink);
  background: var(--sheet);
  border: 0;
  border-bottom: 2px solid var(--violet);
}
h2,
p {
  padding: 0 14px;
}
.ways {
  display: flex;
  gap: 12px;
}
ol {
  padding: 8px 0;
}
a:not(.in) {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) 22px;
  gap: 6px;
  padding: 5px 14px;
  color: var(--ink);
  text-decoration: none;
  line-height: 1.25;
  font-variation-settings: var(--narrow);
}
a:not(.in):hover {
  background: var(--wash);
}
[aria-current] {
  background: var(--wash);
  font-weight: 700;
  box-shadow: inset 3px 0 var(--violet);
}
</style>
