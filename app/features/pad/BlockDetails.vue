<script setup lang="ts">
import { computed } from 'vue';
import { phasesOf } from '#core/grade/standards';
import { sayTechnique } from '#core/reports/technique-lines';
import { FACTS, FACT_IDS } from '#core/model/facts';
import { CONSEQUENCES, OutcomeSchema, type Outcome, type PairMark, type PhaseMark } from '#core/model/grade';
import type { Assignment } from '#core/model/resolution';
import { upperFirst } from '~/features/board/words';
import { useFilm } from '~/features/film/store';
import { sayCost } from '~/features/propose/words';
import MarkHistory from './MarkHistory.vue';
import { PHASE_KEYS } from './fault-keys';
import { changePair, nextOf, padCap, pairOf, PHASE_MARKS, toggleFact, turnPhase } from './hands';

/** What stands behind the marks of the man in hand: the parts of his block, how it ended, what happened, the double, frames, who marked it. */
const props = defineProps<{ man: string; asked: Assignment }>();
const emit = defineEmits<{ seek: [angle: string, frame: number]; frame: [] }>();
const film = useFilm();

const mark = computed(() => film.marks[props.man] ?? null);
const phases = computed(() => phasesOf(props.asked.block, props.asked.technique?.role ?? 'alone'));
/** What he was asked to do with feet, eyes, hat and hands, as it was when the snap was logged. */
const told = computed(() => sayTechnique(props.asked));
const cost = computed(() => {
  const seen = film.proposals[props.man]?.cost;
  return seen ? sayCost(seen) : '';
});
const pair = computed(() => pairOf(film, props.man));
const defenders = computed(() => film.snap?.resolution.defenders.map((d) => d.id) ?? []);

const SIGNS: Readonly<Record<PhaseMark, string>> = { done: '●', not: '╱', 'cannot tell': '?' };
const sign = (phase: keyof NonNullable<typeof mark.value>['phases']): string => {
  const now = mark.value?.phases[phase];
  return now ? SIGNS[now] : '·';
};
const sayOutcome = (outcome: Outcome): string => (outcome === 'not' ? 'no success' : outcome);
const WHEN = ['early', 'in time', 'late'] as const;
const sayLeft = (when: (typeof WHEN)[number]): string => `${props.man} left ${when}`;
const TOGETHER = [
  { key: 'movement', hand: 'moved', says: 'moved him' },
  { key: 'hips', hand: 'hips', says: 'hips together' },
] as const satisfies readonly { key: keyof PairMark; hand: 'moved' | 'hips'; says: string }[];
const removeFrame = (at: number): void =>
  film.change(props.man, { frames: mark.value!.frames.filter((_, i) => i !== at) });
</script>

<template>
  <OpenedPart class="more" kept-as="violet-chalk-pad-more">
    <template #summary
      >Parts of the block, outcome, facts<span class="soft"
        >: <kbd>{{ padCap('facts') }}</kbd> a fact, <kbd>{{ padCap('outcome') }}</kbd> outcome,
        <kbd>{{ padCap('consequence') }}</kbd> what it meant</span
      ></template
    >
    <div class="sides">
      <ol class="phases">
        <li v-for="(p, i) in phases" :key="p.phase">
          <button
            class="plain"
            type="button"
            :aria-label="`${p.phase}: ${mark?.phases[p.phase] ?? 'not marked'}. ${p.says}`"
            @click="turnPhase(film, man, i)"
          >
            <span class="sign" aria-hidden="true">{{ sign(p.phase) }}</span>
            <kbd>⇧{{ PHASE_KEYS[i]?.toLowerCase() }}</kbd> <b>{{ p.phase }}</b> {{ p.says }}
          </button>
        </li>
      </ol>
      <div class="rest">
        <div class="mark-hands">
          <span class="soft">Outcome</span>
          <OneOf
            :value="mark?.outcome"
            :options="OutcomeSchema.options"
            :say="sayOutcome"
            @choose="film.change(man, { outcome: $event })"
          />
          <span class="soft">It was</span>
          <OneOf
            :value="mark?.consequence"
            :options="CONSEQUENCES"
            @choose="film.change(man, { consequence: $event })"
          />
          <span v-if="cost" class="soft">The film: {{ cost }}</span>
          <label class="soft"
            >He hit
            <select
              class="field"
              :value="mark?.hit ?? ''"
              @change="film.change(man, { hit: ($event.target as HTMLSelectElement).value || null })"
            >
              <option value="">…</option>
              <option v-for="d in defenders" :key="d" :value="d">{{ d }}</option>
            </select></label
          >
        </div>
        <div class="mark-hands">
          <button
            v-for="f in FACT_IDS"
            :key="f"
            class="plain"
            type="button"
            :title="FACTS[f].tells"
            :aria-pressed="mark?.facts.includes(f) ?? false"
            @click="toggleFact(film, man, f)"
          >
            {{ FACTS[f].name }}
          </button>
        </div>
        <div v-if="pair.length > 1" class="mark-hands">
          <span class="soft">{{ pair.join(' and ') }} together</span>
          <button
            v-for="t in TOGETHER"
            :key="t.key"
            class="plain"
            type="button"
            :aria-pressed="mark?.pair?.[t.key] === 'done'"
            @click="changePair(film, man, (now) => ({ [t.key]: nextOf(PHASE_MARKS, now?.[t.key]) }))"
          >
            <kbd>{{ padCap(t.hand) }}</kbd> {{ t.says }}: {{ mark?.pair?.[t.key] ?? 'not marked' }}
          </button>
          <OneOf
            :value="mark?.pair?.left === man ? mark.pair.when : null"
            :options="WHEN"
            :say="sayLeft"
            @choose="changePair(film, man, () => ({ left: $event ? man : null, when: $event }))"
          />
        </div>
        <div class="mark-hands">
          <button class="plain" type="button" @click="emit('frame')">
            <kbd>{{ padCap('frame') }}</kbd> mark this frame
          </button>
          <span v-for="(f, i) in mark?.frames ?? []" :key="i">
            <button class="plain link" type="button" @click="emit('seek', f.angle, f.frame)">
              {{ f.says || 'look here' }}, frame {{ f.frame }}
            </button>
            <button class="plain soft" type="button" :aria-label="`take frame ${f.frame} away`" @click="removeFrame(i)">
              ✕
            </button>
          </span>
        </div>
      </div>
    </div>
    <MarkHistory
      v-if="!film.readOnly && film.snap"
      :key="`${film.snap.id} ${man}`"
      :snap-id="film.snap.id"
      :man="man"
    />
    <p class="soft">{{ told }} {{ upperFirst(asked.because.sentence) }}.</p>
  </OpenedPart>
</template>

<style scoped>
.more > * + * {
  margin-top: 6px;
}
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 4px 24px;
  align-items: start;
}
.rest {
  display: grid;
  gap: 5px;
}
.phases {
  display: grid;
  gap: 2px;
}
.phases button {
  text-align: left;
  display: grid;
  grid-template-columns: 16px 30px 74px 1fr;
  gap: 4px;
  align-items: baseline;
}
.sign {
  font-weight: 700;
  color: var(--violet);
  text-align: center;
}
</style>
