<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { difficultyOf, sayDifficulty } from '#core/grade/difficulty';
import { faultsOffered, standardOf } from '#core/grade/standards';
import { rubricOf } from '#core/grade/rubrics/index';
import { FACTS, FACT_IDS } from '#core/model/facts';
import { FAULT_IDS, faultName } from '#core/model/faults';
import type { Assignment } from '#core/model/resolution';
import { useFilm } from '~/features/film/store';
import { sayWhole } from '~/features/propose/words';
import { FAULT_KEYS } from './fault-keys';
import { useFoes } from './foes';
import BlockDetails from './BlockDetails.vue';
import { usePlaybook } from '~/features/playbook/store';
import { sayTask } from './words';
import { addPoints, FACT_KEYS, MARK_KEYS, markBy, padCap, toggleFact, toggleFault } from './hands';

/** Everything that can be said of the man in hand, each with its key. */
const props = defineProps<{ man: string; asked: Assignment; naming: boolean }>();
const emit = defineEmits<{ seek: [angle: string, frame: number]; frame: [] }>();
const film = useFilm();
const playbook = usePlaybook();
const foes = useFoes();

const mark = computed(() => film.marks[props.man] ?? null);
/** How hard it was: beside the mark, and in no count. */
const hard = computed(() => sayDifficulty(difficultyOf(props.asked, foes.records)));
const parts = computed(() => rubricOf((mark.value ?? film.done).rubric).parts);
const own = computed(() => playbook.program.faults ?? []);
const standard = computed(() => standardOf(props.asked.block));
const offered = computed(() => faultsOffered(props.asked.block, own.value, FAULT_KEYS.length));
const others = computed(() => [...FAULT_IDS, ...own.value.map((f) => f.id)].filter((f) => !offered.value.includes(f)));

const field = ref<HTMLTextAreaElement | null>(null);
async function writeNote(): Promise<void> {
  await nextTick();
  field.value?.focus();
}
defineExpose({ writeNote });

function tagOther(event: Event): void {
  const choice = event.target as HTMLSelectElement;
  if (choice.value) toggleFault(film, props.man, choice.value);
  choice.value = '';
}
</script>

<template>
  <section class="man" :aria-label="`Marks of ${man}`">
    <p>
      <b>{{ man }}: {{ sayTask(asked) }}; {{ hard }}.</b> Done when:
      {{ standard?.doneWhen }}
      <span class="soft">Not: {{ standard?.notWhen }}</span>
    </p>
    <p v-if="film.proposals[man]" class="film">
      <b>The film:</b> {{ sayWhole(film.proposals[man]!) }}
      <button v-if="film.proposals[man]!.assignment" class="plain link" type="button" @click="film.takeProposed([man])">
        <kbd>{{ padCap('take') }}</kbd> take it
      </button>
    </p>
    <div class="mark-hands">
      <button
        v-for="m in MARK_KEYS"
        :key="m.key"
        class="plain"
        type="button"
        :aria-pressed="mark?.assignment === m.part.assignment && m.key !== 'p' && m.key !== 'x'"
        @click="markBy(film, man, m)"
      >
        <kbd>{{ m.key }}</kbd> {{ m.says }}
      </button>
      <template v-if="parts.includes('points')">
        <button class="plain" type="button" aria-label="a point less" @click="addPoints(film, man, -1)">
          <kbd>{{ padCap('pointsDown') }}</kbd>
        </button>
        <b class="points">{{ mark?.points ?? '–' }} points</b>
        <button class="plain" type="button" aria-label="a point more" @click="addPoints(film, man, 1)">
          <kbd>{{ padCap('pointsUp') }}</kbd>
        </button>
      </template>
      <button
        v-if="parts.includes('finish')"
        class="plain"
        type="button"
        :aria-pressed="mark?.finish === 'minus'"
        @click="film.change(man, { finish: mark?.finish === 'minus' ? 'plus' : 'minus' })"
      >
        <kbd>{{ padCap('finish') }}</kbd> finish minus
      </button>
      <button class="plain" type="button" @click="film.mark(man, { ...film.done, counts: false })">
        <kbd>{{ padCap('noPart') }}</kbd> no part in it
      </button>
      <button class="plain" type="button" @click="film.mark(man, null)">
        <kbd>{{ padCap('none') }}</kbd> no mark
      </button>
      <label :key="man" class="note-field"
        ><kbd>{{ padCap('note') }}</kbd> note
        <textarea
          ref="field"
          v-typed
          rows="1"
          maxlength="500"
          :value="mark?.note ?? ''"
          @change="film.change(man, { note: ($event.target as HTMLTextAreaElement).value })"
          @keydown.esc.stop="($event.target as HTMLElement).blur()"
          @keydown.enter.prevent="($event.target as HTMLElement).blur()"
        />
      </label>
    </div>
    <div class="mark-hands faults">
      <button
        v-for="(f, i) in offered"
        :key="f"
        class="plain"
        type="button"
        :aria-pressed="mark?.faults.includes(f) ?? false"
        @click="toggleFault(film, man, f)"
      >
        <kbd>{{ FAULT_KEYS[i] }}</kbd> {{ faultName(f, own) }}
      </button>
      <select class="field" aria-label="Any fault" @change="tagOther">
        <option value="">other fault …</option>
        <option v-for="f in others" :key="f" :value="f">{{ faultName(f, own) }}</option>
      </select>
      <button
        v-for="f in (mark?.faults ?? []).filter((id) => !offered.includes(id))"
        :key="f"
        class="plain"
        type="button"
        aria-pressed="true"
        @click="toggleFault(film, man, f)"
      >
        {{ faultName(f, own) }} ✕
      </button>
    </div>
    <p v-if="naming" class="mark-hands naming" role="status">
      Which fact?
      <button v-for="f in FACT_IDS" :key="f" class="plain" type="button" @click="toggleFact(film, man, f)">
        <kbd>{{ FACT_KEYS[f] }}</kbd> {{ FACTS[f].name }}
      </button>
    </p>
    <BlockDetails
      :man="man"
      :asked="asked"
      @seek="(angle, frame) => emit('seek', angle, frame)"
      @frame="emit('frame')"
    />
  </section>
</template>

<style scoped>
.man {
  padding: 7px 0;
  display: grid;
  gap: 5px;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
.points {
  font-variant-numeric: tabular-nums;
}
.naming {
  color: var(--violet);
  font-weight: 600;
}
.note-field {
  flex: 1 1 140px;
  display: flex;
  gap: 8px;
  align-items: center;
}
/* Whoever writes has a line of his own. */
.note-field:focus-within {
  flex-basis: 100%;
}
textarea {
  width: 0;
  min-width: 0;
  flex: 1;
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 3px 6px;
  resize: vertical;
}
</style>
