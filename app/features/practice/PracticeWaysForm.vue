<script setup lang="ts">
import { computed, ref } from 'vue';
import { HOUSE_RULES, type HouseRule } from '#core/model/drill';
import { PracticeWaysSchema, type PracticeWays } from '#core/model/practice';
import { usePractice } from './store';

/** What the program has entered: limits, breaks, habits, and what its house does not use. */
const practice = usePractice();
const problem = ref('');
type NumberKey = 'contactADay' | 'contactAWeek' | 'restEvery' | 'restFor' | 'coaches' | 'matchWithin';
const FIELDS: readonly { key: NumberKey; says: string; unit: string; changes: string }[] = [
  {
    key: 'contactADay',
    says: 'Men may meet men on a day for',
    unit: 'minutes',
    changes: 'No plan goes over it. Empty: none is planned.',
  },
  { key: 'contactAWeek', says: 'and in a week for', unit: 'minutes', changes: 'Counted for every man by himself.' },
  {
    key: 'matchWithin',
    says: 'Who meets whom differs by at most',
    unit: 'pounds',
    changes: 'Weights stand in the roster. Empty: you match them by eye.',
  },
  { key: 'restEvery', says: 'Water after', unit: 'minutes', changes: 'Empty: no break of its own.' },
  { key: 'restFor', says: 'for', unit: 'minutes', changes: 'It is part of the period.' },
  {
    key: 'coaches',
    says: 'Coaches who can stand at a station:',
    unit: '',
    changes: 'With one, the second group does only what needs no watching.',
  },
];
const share = computed(() => Math.round(100 * practice.ways.foundations));

function set(part: Record<string, unknown>): void {
  const read = PracticeWaysSchema.safeParse({ ...practice.ways, ...part });
  problem.value = read.success ? '' : `${read.error.issues[0]!.message}. It stays as it was.`;
  if (read.success) void practice.changeWays(part as Partial<PracticeWays>);
}
const setNumber = (key: NumberKey, event: Event): void => {
  const { value } = event.target as HTMLInputElement;
  set({ [key]: value === '' ? null : Number(value) });
};
/** Shares are typed in per cent; empty is none. */
const setGate = (key: 'gateQuiz' | 'gateReps', event: Event): void => {
  const { value } = event.target as HTMLInputElement;
  set({ [key]: value === '' ? null : Number(value) / 100 });
};
const percentOf = (part: number | null): string => (part === null ? '' : String(Math.round(100 * part)));
const setShare = (event: Event): void => set({ foundations: Number((event.target as HTMLInputElement).value) / 100 });
const toggle = (rule: HouseRule): void =>
  set({ house: { ...practice.ways.house, [rule]: !practice.ways.house[rule] } });
</script>

<template>
  <section class="ways" aria-label="Limits and habits">
    <p class="soft">
      These are your governing body’s and your own numbers. The program holds every plan to them and knows none of its
      own.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="rows">
      <p v-for="f in FIELDS" :key="f.key">
        <label
          >{{ f.says }}
          <input
            v-typed
            class="field"
            type="number"
            min="0"
            :value="practice.ways[f.key] ?? ''"
            @change="setNumber(f.key, $event)"
          />
          {{ f.unit }}</label
        >
        <span class="soft">{{ f.changes }}</span>
      </p>
      <p>
        <label
          >Foundations take
          <input v-typed class="field" type="number" min="40" max="100" :value="share" @change="setShare" />
          %</label
        >
        <span class="soft">The rest prepares for what this opponent does.</span>
      </p>
      <p>
        <label
          >Into the game goes a play with
          <input
            v-typed
            class="field"
            type="number"
            min="10"
            max="100"
            :value="percentOf(practice.ways.gateQuiz)"
            aria-label="Quiz right, per cent"
            @change="setGate('gateQuiz', $event)"
          />
          % of the quiz right and
          <input
            v-typed
            class="field"
            type="number"
            min="10"
            max="100"
            :value="percentOf(practice.ways.gateReps)"
            aria-label="Reps good, per cent"
            @change="setGate('gateReps', $event)"
          />
          % of its reps good</label
        >
        <span class="soft">Advice beside the plan, with the counts. Empty: the counts alone.</span>
      </p>
      <p>
        <span>Our house uses</span>
        <label v-for="(name, rule) in HOUSE_RULES" :key="rule" class="rule">
          <input type="checkbox" :checked="practice.ways.house[rule]" @change="toggle(rule)" /> {{ name }}
        </label>
      </p>
    </div>
  </section>
</template>

<style scoped>
.ways {
  padding: 8px 20px 12px;
  border-top: 1px solid var(--rule);
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
.rows {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 6px 30px;
  padding-top: 6px;
}
.rows p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
}
label {
  font-weight: 600;
}
.rule {
  font-weight: 400;
}
input[type='number'] {
  width: 64px;
}
input[type='checkbox'] {
  accent-color: var(--violet);
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
@media (max-width: 800px) {
  .rows {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
