<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { standardOf } from '#core/grade/standards';
import { sayTechnique } from '#core/reports/technique-lines';
import { FAULTS, FAULT_IDS, type FaultId } from '#core/model/faults';
import ManColumns from '~/features/board/ManColumns.vue';
import { blockName, upperFirst } from '~/features/board/words';
import type { Column } from '~/features/board/scale';
import { capOf, FAULT_KEYS, MARK_KEYS, markBy } from './keys';
import { useFilm } from './store';

defineProps<{ columns: readonly Column[]; numbers: Readonly<Record<string, number>> }>();
const emit = defineEmits<{ next: [] }>();
const film = useFilm();

/** Rows that would be empty leave their room to the film. */
const rows = computed(() => {
  const marks = Object.values(film.marks);
  return [
    { key: 'asked', name: 'Asked' },
    { key: 'on', name: 'On' },
    { key: 'did', name: 'He did' },
    ...(marks.some((m) => m.fault) ? [{ key: 'fault', name: 'Fault' }] : []),
    ...(marks.some((m) => m.note) ? [{ key: 'note', name: 'Note' }] : []),
  ];
});
const asked = computed(() => new Map(film.snap?.resolution.assignments.map((a) => [a.blocker, a]) ?? []));
const current = computed(() => (film.selected ? (asked.value.get(film.selected) ?? null) : null));
const standard = computed(() => (current.value ? standardOf(current.value.block) : null));
/** What he was asked to do with feet, eyes, hat and hands, as it was when the snap was logged. */
const told = computed(() => (current.value ? sayTechnique(current.value) : ''));
const left = computed(() => film.men.filter((m) => !film.marks[m]).length);

const field = ref<HTMLTextAreaElement | null>(null);
async function writeNote(): Promise<void> {
  await nextTick();
  field.value?.focus();
}
defineExpose({ writeNote });

const on = (man: string): string => {
  const a = asked.value.get(man);
  return a ? `${a.target ?? 'next level'}${a.next ? `, then ${a.next}` : ''}` : '';
};
const choose = (value: string): void =>
  film.change(film.selected!, value ? { technique: 'minus', fault: value as FaultId } : { fault: null });

function allPlus(): void {
  film.restPlus();
  emit('next');
}
</script>

<template>
  <div class="pad">
    <div class="scroller">
      <ManColumns
        :columns="columns"
        :rows="rows"
        :selected="film.selected"
        :numbers="numbers"
        keys
        label="Grades"
        @select="film.selected = $event"
      >
        <template #default="{ row, man }">
          <template v-if="row === 'asked' && asked.get(man)">{{ blockName(asked.get(man)!) }}</template>
          <template v-else-if="row === 'on'">{{ on(man) }}</template>
          <template v-else-if="row === 'did'"
            ><button class="plain did" type="button" :aria-label="`Mark ${man}`" @click="film.selected = man">
              <GradeMark :grade="film.marks[man] ?? null" /></button
          ></template>
          <span v-else-if="row === 'fault' && film.marks[man]?.fault" class="tag">{{
            FAULTS[film.marks[man]!.fault!].name
          }}</span>
          <span v-else-if="row === 'note'" class="note">{{ film.marks[man]?.note }}</span>
        </template>
      </ManColumns>
    </div>
    <section v-if="current && standard && !film.readOnly" class="man" :aria-label="`Marks of ${film.selected}`">
      <p>
        <b>{{ film.selected }}, {{ blockName(current).toLowerCase() }}.</b> Done when: {{ standard.doneWhen }}
        <span class="soft">Not: {{ standard.notWhen }}</span>
      </p>
      <details class="soft">
        <summary>How he was told to do it</summary>
        {{ told }} {{ upperFirst(current.because.sentence) }}.
      </details>
      <div class="hands">
        <button
          v-for="m in MARK_KEYS"
          :key="m.key"
          class="plain"
          type="button"
          @click="markBy(film, film.selected!, m)"
        >
          <kbd>{{ m.key }}</kbd> {{ m.says }}
        </button>
        <button class="plain" type="button" @click="film.mark(film.selected!, null)">
          <kbd>{{ capOf('none') }}</kbd> no mark
        </button>
      </div>
      <div class="hands faults">
        <button
          v-for="(f, i) in standard.faults"
          :key="f"
          class="plain"
          type="button"
          :aria-pressed="film.marks[film.selected!]?.fault === f"
          @click="film.change(film.selected!, { technique: 'minus', fault: f })"
        >
          <kbd>{{ FAULT_KEYS[i] }}</kbd> {{ FAULTS[f].name }}
        </button>
        <select
          :value="film.marks[film.selected!]?.fault ?? ''"
          aria-label="Any fault"
          @change="choose(($event.target as HTMLSelectElement).value)"
        >
          <option value="">other fault …</option>
          <option v-for="f in FAULT_IDS" :key="f" :value="f">{{ FAULTS[f].name }}</option>
        </select>
      </div>
      <label class="note-field"
        ><kbd>{{ capOf('note') }}</kbd> note
        <textarea
          ref="field"
          rows="1"
          maxlength="500"
          :value="film.marks[film.selected!]?.note ?? ''"
          @change="film.change(film.selected!, { note: ($event.target as HTMLTextAreaElement).value })"
          @keydown.esc.stop="($event.target as HTMLElement).blur()"
          @keydown.enter.prevent="($event.target as HTMLElement).blur()"
        />
      </label>
    </section>
    <div v-if="!film.readOnly" class="hands enter">
      <button class="plain" type="button" @click="allPlus">
        <kbd>{{ capOf('rest') }}</kbd>
        {{
          left === film.men.length ? 'everybody did his job' : left ? `the other ${left} did their job` : 'all marked'
        }}, next snap
      </button>
      <span v-if="!current" class="soft"
        ><kbd>1</kbd>-<kbd>{{ film.men.length }}</kbd> a man who did not</span
      >
      <span class="soft"
        ><kbd>{{ capOf('before') }}</kbd> <kbd>{{ capOf('after') }}</kbd> snap</span
      >
      <span class="soft saved" role="status">{{ film.queue.length ? 'saving …' : 'all marks saved' }}</span>
    </div>
  </div>
</template>

<style scoped>
.scroller {
  overflow-x: auto;
}
.tag {
  border: 1px solid var(--violet);
  color: var(--violet);
  border-radius: 9px;
  padding: 0 7px;
  font-size: 12px;
}
.note {
  font-size: 12px;
}
.did {
  display: block;
}
.man {
  padding: 8px 0;
  display: grid;
  gap: 7px;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 5px 14px;
  align-items: center;
}
.hands button:hover {
  color: var(--violet);
}
.faults [aria-pressed='true'] {
  color: var(--violet);
  font-weight: 700;
}
select {
  font: inherit;
  font-size: 12.5px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 4px;
}
.note-field {
  display: flex;
  gap: 8px;
  align-items: center;
}
textarea {
  flex: 1;
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 3px 6px;
  resize: vertical;
}
.enter {
  padding-top: 9px;
  font-size: 13px;
}
.saved {
  margin-left: auto;
}
</style>
