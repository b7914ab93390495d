<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useSeenSize } from '~/features/board/seen-size';
import { hasErrors } from '#core/diagnostics/diagnostic';
import { againstLeague } from '#core/identify/league';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { boardScale } from '~/features/board/scale';
import BoardFile from '~/features/board/BoardFile.vue';
import LineBoard from '~/features/board/LineBoard.vue';
import { upperFirst } from '~/features/board/words';
import { inField } from '~/features/hands/in-field';
import { usePlaybook } from '~/features/playbook/store';
import { download } from '~/features/playbook/files';
import ImportFiles from '~/features/playbook/ImportFiles.vue';
import { useSession } from '~/features/session/store';
import BookList from '~/features/playbook/BookList.vue';
import KeepForm from '~/features/playbook/KeepForm.vue';
import { useBoardHeight } from '~/features/board/room';
import { useFronts } from './store';

const fronts = useFronts();
const session = useSession();
const playbook = usePlaybook();
const area = ref<HTMLElement | null>(null);
const { width } = useSeenSize(area);
const height = useBoardHeight(400, 420);
const scale = computed(() =>
  fronts.formation
    ? boardScale(fronts.formation, Math.max(560, width.value), height.value, { front: fronts.front })
    : null,
);
const wrong = computed(() => hasErrors(fronts.diagnostics));
const opponents = computed(() => [
  ...new Set(playbook.fronts.map((f) => f.opponent).filter((o): o is string => o !== null && o !== '')),
]);
onMounted(() => {
  if (!fronts.front) fronts.open(fronts.id);
});

const MOVES = ['slant right', 'slant left', 'pinch'];
const MARKS = [
  { key: 'f', name: 'force' },
  { key: 'c', name: 'corner' },
  { key: 's', name: 'safety' },
  { key: 'm', name: 'mike' },
  { key: 'r', name: 'conflict' },
] as const;
/** What of it the program's league forbids, as it is drawn now. */
const against = computed(() =>
  fronts.front && fronts.formation ? againstLeague(fronts.front, fronts.formation, playbook.settings).join(' ') : '',
);
const shown = computed(() => {
  const i = fronts.identification;
  if (!i) return [];
  return [
    { name: 'Front', value: upperFirst([i.family.name, ...i.family.subNames].join(', ')), why: i.family.because },
    { name: 'Strength', value: upperFirst(i.strength.side), why: i.strength.because },
    { name: 'Box', value: upperFirst(i.box.spoken), why: i.box.because },
    { name: 'Left', value: upperFirst(i.sideCall.left.call), why: i.sideCall.left.because },
    { name: 'Right', value: upperFirst(i.sideCall.right.call), why: i.sideCall.right.because },
    { name: 'Mike', value: i.mike.id ?? 'Nobody', why: i.mike.because },
    {
      name: 'Bubbles',
      value: i.bubbles.gaps.map((g) => `${g.gap} ${g.side}`).join(', ') || 'None',
      why: i.bubbles.because,
    },
    { name: 'Edges', value: `${i.edge.left.because} ${i.edge.right.because}`, why: '' },
    ...(against.value ? [{ name: 'League', value: against.value, why: '' }] : []),
    { name: 'Walked up', value: i.walkedUp.ids.join(', ') || 'Nobody', why: i.walkedUp.because },
  ];
});
const addMove = (move: string): void => fronts.type(`${fronts.text.trim()}\n${move}`);

onKeyStroke((event) => {
  if (inField(event.target)) return;
  if ((event.ctrlKey || event.metaKey) && event.key === 'z') {
    event.preventDefault();
    return fronts.undo();
  }
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === 'u') fronts.toggleStance();
  const mark = MARKS.find((m) => m.key === event.key);
  if (mark) fronts.mark(mark.name);
});
</script>

<template>
  <div class="place">
    <h1 class="visually-hidden">Fronts</h1>
    <BookList shelf="fronts" :current="fronts.id" label="Fronts" @open="fronts.open" />
    <section class="middle">
      <header>
        <div class="words">
          <b>{{ fronts.name }}</b> <span>against</span>
          <WordSelect
            :value="fronts.formationId"
            :options="playbook.formations"
            label="Formation"
            filter
            @choose="fronts.place($event)"
          />
        </div>
        <div class="acts">
          <button class="plain link" type="button" @click="fronts.mirror">Mirror</button>
          <button
            class="plain link"
            type="button"
            @click="download(`${fronts.id}.chalk`, fronts.documentText(fronts.id, fronts.name))"
          >
            Export
          </button>
          <ImportFiles
            v-if="session.member?.role === 'coach'"
            :attempt="fronts.attempt"
            @problem="fronts.problem = $event"
          />
        </div>
      </header>
      <p v-if="fronts.problem" class="problem" role="alert">{{ fronts.problem }}</p>
      <p v-else-if="fronts.notice" class="notice" role="status">{{ fronts.notice }}</p>
      <div ref="area" class="area">
        <LineBoard
          v-if="fronts.formation && fronts.front && fronts.identification && scale && width > 0"
          :formation="fronts.formation"
          :front="fronts.front"
          :identification="fronts.identification"
          :resolution="null"
          :scale="scale"
          :columns="[]"
          :selected="fronts.selected"
          :numbers="{}"
          movable
          @select="fronts.selected = $event"
          @move="fronts.move"
          @nudge="fronts.nudge"
        />
      </div>
      <p class="hands soft">
        <button class="plain" type="button" :disabled="!fronts.done.length" @click="fronts.undo">
          <kbd>Ctrl Z</kbd> undo
        </button>
        <span><kbd>Tab</kbd> to a man, <kbd>←</kbd> <kbd>→</kbd> <kbd>↑</kbd> <kbd>↓</kbd> move him half a foot</span>
        <BoardFile
          v-if="fronts.formation && fronts.front"
          :formation="fronts.formation"
          :front="fronts.front"
          :name="fronts.id"
        />
        <template v-if="fronts.man">
          <button class="plain" type="button" @click="fronts.toggleStance">
            <kbd>u</kbd>
            {{ fronts.man.stance === 'up' ? `${fronts.man.id} puts his hand down` : `${fronts.man.id} stands up` }}
          </button>
          <button
            v-for="m in MARKS"
            :key="m.key"
            class="plain"
            type="button"
            :aria-pressed="fronts.man.mark === m.name"
            @click="fronts.mark(m.name)"
          >
            <kbd>{{ m.key }}</kbd> {{ m.name }}
          </button>
        </template>
      </p>
      <div class="below">
        <label class="typed"
          >The same front in notation
          <textarea
            :value="fronts.text"
            rows="8"
            spellcheck="false"
            aria-label="Front in notation"
            @input="fronts.type(($event.target as HTMLTextAreaElement).value)"
          />
          <span v-for="(d, i) in fronts.diagnostics.slice(0, 3)" :key="i" class="problem" role="alert"
            >line {{ d.span.line }}: {{ wordDiagnostic(d) }}</span
          >
        </label>
        <div class="tools">
          <h2>After the snap</h2>
          <p>
            <button v-for="m in MOVES" :key="m" class="plain link" type="button" @click="addMove(m)">{{ m }}</button>
          </p>
          <p class="soft">
            Or type one: <i>T slant left</i>, <i>twist T RE</i>, <i>W blitz A left</i>, <i>M scrape right</i>,
            <i>exchange RE S</i>. Movements are kept with the front: what each man does then shows in the Walkthrough,
            the Matrix and every proof.
          </p>
          <KeepForm
            :id="fronts.id"
            shelf="fronts"
            :wrong="wrong"
            example="Otters, wide over"
            :opponents="opponents"
            @save="fronts.save"
            @retire="fronts.retire"
          />
        </div>
      </div>
    </section>
    <aside aria-label="What they show">
      <h2>What they show</h2>
      <dl>
        <template v-for="item in shown" :key="item.name"
          ><dt class="soft">{{ item.name }}</dt>
          <dd :title="item.why">{{ item.value }}</dd></template
        >
      </dl>
      <h2>Where each man stands</h2>
      <dl>
        <template v-for="t in fronts.identification?.techniques ?? []" :key="t.id"
          ><dt>
            <b>{{ t.id }}</b>
          </dt>
          <dd>{{ t.label }}{{ t.on ? `, on ${t.on}` : '' }}</dd></template
        >
      </dl>
      <NuxtLink
        :to="{
          path: '/walkthrough',
          query: {
            formation: fronts.formationId,
            front: fronts.dirty ? fronts.text.split('\n').join('; ') : fronts.id,
          },
        }"
        >Walk a play through it</NuxtLink
      >
    </aside>
  </div>
</template>

<style scoped src="~/features/playbook/drawing-place.css"></style>
