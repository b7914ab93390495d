<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { FACTS } from '#core/model/facts';
import { faultName } from '#core/model/faults';
import { difficultyOf, sayDifficultyShort } from '#core/grade/difficulty';
import { sayPair } from '#core/grade/say-grade';
import ManColumns from '~/features/board/ManColumns.vue';
import { blockName } from '~/features/board/words';
import type { Column } from '~/features/board/scale';
import { capOf } from '~/features/film/keys';
import { useFilm } from '~/features/film/store';
import { atRest } from '~/features/session/at-rest';
import { useMarks } from '~/features/marks/store';
import { sayProposal } from '~/features/propose/words';
import { usePlaybook } from '~/features/playbook/store';
import FindingPanel from '~/features/finding/FindingPanel.vue';
import ManMarks from './ManMarks.vue';
import TwoVersions from './TwoVersions.vue';
import { useFoes } from './foes';
import { askedOfMan } from './hands';
import { sayOn } from './words';

const props = defineProps<{
  columns: readonly Column[];
  numbers: Readonly<Record<string, number>>;
  naming: boolean;
  /** Keys wait for the snap that is being opened. */
  held: boolean;
  /** What the film makes of this snap is still being worked out; why it makes nothing of it, where it should. */
  filmPending: boolean;
  filmProblem: string;
}>();
const emit = defineEmits<{ next: []; seek: [angle: string, frame: number]; frame: [] }>();
const film = useFilm();
const box = useMarks();
const playbook = usePlaybook();
const foes = useFoes();
const own = computed(() => playbook.program.faults ?? []);

/** What was asked of the man in hand, where he can be marked. */
const inHand = computed(() => (film.mayMark ? askedOfMan(film, film.selected) : null));
/**
 * Rows that would be empty leave their room to the film. What was asked of everybody makes room for the marks of the man in hand, where it is
 * said of him in words: the film stays as large as it is.
 */
const rows = computed(() => {
  const marks = Object.values(film.marks);
  // It has its room before it says anything: nothing moves under the hand that marks.
  const filmRow = film.snap?.followed ? [{ key: 'film', name: 'Film says' }] : [];
  const asked = [
    { key: 'asked', name: 'Asked' },
    { key: 'on', name: 'On' },
    { key: 'hard', name: 'How hard' },
    ...filmRow,
  ];
  return [
    ...(inHand.value ? [] : asked),
    { key: 'did', name: 'He did' },
    ...(marks.some((m) => m.faults.length) ? [{ key: 'fault', name: 'Fault' }] : []),
    ...(marks.some((m) => m.facts.length || m.consequence || m.pair) ? [{ key: 'fact', name: 'Beside' }] : []),
    ...(marks.some((m) => m.note) ? [{ key: 'note', name: 'Note' }] : []),
  ];
});
const filmSays = (man: string): string => {
  const proposal = film.proposals[man];
  if (proposal) return sayProposal(proposal);
  return props.filmPending ? '…' : '–';
};
const proposed = computed(() => Object.keys(film.proposals).length > 0);
const left = computed(() => film.men.filter((m) => !film.marks[m]).length);
const rest = computed(() => {
  if (left.value === film.men.length) return 'everybody did his job';
  return left.value ? `the other ${left.value} did their job` : 'all marked';
});
const on = (man: string): string => {
  const asked = askedOfMan(film, man);
  return asked ? sayOn(asked) : '';
};
const hard = (man: string): string => {
  const a = askedOfMan(film, man);
  return a ? sayDifficultyShort(difficultyOf(a, foes.records)) : '';
};
/** Beside the film, which is opened without it. */
watch(
  () => film.games.find((g) => g.id === film.snap?.gameId)?.opponent,
  async (opponent) => {
    if (!opponent || film.readOnly) return;
    await atRest();
    await foes.load(opponent);
  },
  { immediate: true },
);
const beside = (man: string): string => {
  const mark = film.marks[man];
  if (!mark) return '';
  const facts = mark.facts.map((f) => FACTS[f].name);
  return [...facts, mark.pair ? sayPair(mark.pair) : '', mark.consequence ?? ''].filter(Boolean).join(', ');
};
const saved = computed(() => {
  if (props.held || box.onItsWay.length) return 'saving …';
  return box.lasting ? 'all marks saved' : 'all marks sent; this browser keeps none itself';
});

const man = ref<InstanceType<typeof ManMarks> | null>(null);
defineExpose({ writeNote: () => void man.value?.writeNote() });

/** Men for whom the film proposes anything but a job done stand out: they are looked at first. */
const isDoubt = (seat: string): boolean => {
  const proposal = film.proposals[seat];
  return proposal !== undefined && (proposal.assignment !== 'right' || proposal.faults.length > 0);
};
function confirmAll(): void {
  film.confirmRest();
  emit('next');
}
function allPlus(): void {
  film.restPlus();
  emit('next');
}
</script>

<template>
  <div class="pad">
    <p v-if="film.gradesHimself" class="sheet">
      How was it? Your own marks: your coach sees them beside his, and nobody else does.
    </p>
    <p v-else-if="film.sheet === 'own'" class="sheet">
      Your own reading: nobody’s marks are shown, and yours are in no count.
      <button class="plain link" type="button" @click="film.turnTo('program')">Back to the grades</button>
    </p>
    <TwoVersions v-if="box.aside.length || box.unreadable" />
    <div class="marking">
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
          <template #default="{ row, man: seat }">
            <template v-if="row === 'asked' && askedOfMan(film, seat)">{{
              blockName(askedOfMan(film, seat)!)
            }}</template>
            <template v-else-if="row === 'on'">{{ on(seat) }}</template>
            <span v-else-if="row === 'hard'" class="note soft hard">{{ hard(seat) }}</span>
            <span v-else-if="row === 'film'" class="film" :class="{ doubt: isDoubt(seat) }">{{ filmSays(seat) }}</span>
            <template v-else-if="row === 'did'"
              ><button class="plain did" type="button" :aria-label="`Mark ${seat}`" @click="film.selected = seat">
                <GradeMark :grade="film.marks[seat] ?? null" /></button
            ></template>
            <template v-else-if="row === 'fault'"
              ><span v-for="f in film.marks[seat]?.faults ?? []" :key="f" class="tag">{{
                faultName(f, own)
              }}</span></template
            >
            <span v-else-if="row === 'fact'" class="note">{{ beside(seat) }}</span>
            <span v-else-if="row === 'note'" class="note">{{ film.marks[seat]?.note }}</span>
          </template>
        </ManColumns>
      </div>
      <ManMarks
        v-if="film.selected && inHand"
        ref="man"
        :man="film.selected"
        :asked="inHand"
        :naming="naming"
        @seek="(angle, frame) => emit('seek', angle, frame)"
        @frame="emit('frame')"
      />
    </div>
    <FindingPanel v-if="!film.readOnly && film.sheet === 'program'" />
    <p v-if="filmProblem" class="wanting" role="status">{{ filmProblem }}</p>
    <div v-if="film.mayMark" class="hands enter">
      <button class="plain all" type="button" @click="allPlus">
        <kbd>{{ capOf('rest') }}</kbd> {{ rest }}, next snap
      </button>
      <span v-if="!film.selected" class="soft"
        ><kbd>1</kbd>-<kbd>{{ film.men.length }}</kbd> a man</span
      >
      <button v-if="left && film.snap?.followed" class="plain" type="button" :disabled="!proposed" @click="confirmAll">
        <kbd>{{ capOf('confirm') }}</kbd> as the film says, next
      </button>
      <button class="plain" type="button" :disabled="film.steps.length === 0" @click="film.undo()">
        <kbd>ctrl z</kbd> undo
      </button>
      <span class="soft"
        ><kbd>{{ capOf('before') }}</kbd> <kbd>{{ capOf('after') }}</kbd> snap</span
      >
      <button
        v-if="!film.readOnly && film.sheet === 'program'"
        class="plain soft"
        type="button"
        @click="film.turnTo('own')"
      >
        grade it blind, beside
      </button>
      <span class="soft saved" role="status">{{ saved }}</span>
    </div>
  </div>
</template>

<style scoped>
.scroller {
  overflow-x: auto;
}
/* Room for a man in hand and a fault of his: the film stays as large as it is while the snap is marked. */
@media (min-width: 801px) {
  .marking {
    min-height: 254px;
  }
}
.sheet {
  color: var(--violet);
  font-weight: 600;
  padding-bottom: 6px;
  font-size: 13px;
}
.tag {
  display: inline-block;
  border: 1px solid var(--violet);
  color: var(--violet);
  border-radius: 9px;
  padding: 0 7px;
  font-size: 12px;
  margin: 0 3px 2px 0;
}
.note {
  font-size: 12px;
}
.wanting {
  color: var(--risk);
  font-size: 13px;
  padding-top: 6px;
}
/* Room for how others have fared against his man, which comes a moment later. */
.hard {
  display: block;
  min-height: 2lh;
}
.film {
  font-size: 12px;
  color: var(--soft);
}
.film.doubt {
  color: var(--ink);
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.did {
  display: block;
  min-width: 32px;
  min-height: 24px;
}
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 5px 14px;
  align-items: center;
}
.hands button:hover:enabled {
  color: var(--violet);
}
.hands button:disabled {
  opacity: 0.5;
}
.enter {
  padding-top: 9px;
  font-size: 13px;
}
.all {
  font-weight: 600;
}
.saved {
  margin-left: auto;
}
@media (pointer: coarse) {
  .hands button {
    min-height: 36px;
  }
}
</style>
