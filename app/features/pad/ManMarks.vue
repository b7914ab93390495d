<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { helpOf, askedOf } from '#core/grade/book/marked';
import { faultsOffered, phasesOf, standardOf } from '#core/grade/standards';
import { rubricOf } from '#core/grade/rubrics/index';
import { sayTechnique } from '#core/reports/technique-lines';
import { FACTS, FACT_IDS } from '#core/model/facts';
import { FAULTS, FAULT_IDS, faultName } from '#core/model/faults';
import type { PhaseMark } from '#core/model/grade';
import type { Assignment } from '#core/model/resolution';
import { blockName, upperFirst } from '~/features/board/words';
import { useFilm } from '~/features/film/store';
import { sayProposal, sayWhy } from '~/features/propose/words';
import { FAULT_KEYS, PHASE_KEYS } from './fault-keys';
import MarkHistory from './MarkHistory.vue';
import { usePlaybook } from '~/features/playbook/store';
import {
  addPoints,
  changePair,
  FACT_KEYS,
  MARK_KEYS,
  markBy,
  nextOf,
  padCap,
  pairOf,
  toggleFact,
  toggleFault,
  turnPhase,
} from './hands';
import { CONSEQUENCES } from '#core/model/grade';

/** Everything that can be said of the man in hand, each with its key. */
const props = defineProps<{ man: string; asked: Assignment; naming: boolean }>();
const emit = defineEmits<{ seek: [angle: string, frame: number]; frame: [] }>();
const film = useFilm();
const playbook = usePlaybook();

const mark = computed(() => film.marks[props.man] ?? null);
const parts = computed(() => rubricOf((mark.value ?? film.done).rubric).parts);
const own = computed(() => playbook.program.faults ?? []);
const standard = computed(() => standardOf(props.asked.block));
const phases = computed(() => phasesOf(props.asked.block, props.asked.technique?.role ?? 'alone'));
const offered = computed(() => faultsOffered(props.asked.block, own.value, FAULT_KEYS.length));
const others = computed(() => [...FAULT_IDS, ...own.value.map((f) => f.id)].filter((f) => !offered.value.includes(f)));
/** What he was asked to do with feet, eyes, hat and hands, as it was when the snap was logged. */
const told = computed(() => sayTechnique(props.asked));
const isPair = computed(() => pairOf(film, props.man).length > 1);
const defenders = computed(() => film.snap?.resolution.defenders.map((d) => d.id) ?? []);

const PHASE_SIGNS: Readonly<Record<PhaseMark, string>> = { done: '●', not: '╱', 'cannot tell': '?' };
const MORE_STANDS = 'violet-chalk-pad-more';
const more = ref(localStorage.getItem(MORE_STANDS) === 'open');
function toggleMore(event: Event): void {
  more.value = (event.target as HTMLDetailsElement).open;
  localStorage.setItem(MORE_STANDS, more.value ? 'open' : '');
}

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
const removeFrame = (at: number): void =>
  film.change(props.man, { frames: mark.value!.frames.filter((_, i) => i !== at) });
</script>

<template>
  <section class="man" :aria-label="`Marks of ${man}`">
    <p>
      <b>{{ man }}, {{ blockName(asked).toLowerCase() }}, {{ helpOf(askedOf(asked)) }}.</b> Done when:
      {{ standard?.doneWhen }}
      <span class="soft">Not: {{ standard?.notWhen }}</span>
    </p>
    <p v-if="film.proposals[man]" class="film">
      <b>The film:</b> {{ sayProposal(film.proposals[man]!) }}. {{ sayWhy(film.proposals[man]!) }}
      <button v-if="film.proposals[man]!.assignment" class="plain link" type="button" @click="film.takeProposed([man])">
        <kbd>{{ padCap('take') }}</kbd> take it
      </button>
    </p>
    <div class="hands">
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
    </div>
    <div class="hands faults">
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
      <select aria-label="Any fault" @change="tagOther">
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
        {{ f in FAULTS ? faultName(f) : faultName(f, own) }} ✕
      </button>
    </div>
    <p v-if="naming" class="hands naming" role="status">
      Which fact?
      <button v-for="f in FACT_IDS" :key="f" class="plain" type="button" @click="toggleFact(film, man, f)">
        <kbd>{{ FACT_KEYS[f] }}</kbd> {{ FACTS[f].name }}
      </button>
    </p>
    <details class="more" :open="more" @toggle="toggleMore">
      <summary>
        Parts of the block, outcome, facts<span class="soft"
          >: <kbd>{{ padCap('facts') }}</kbd> a fact, <kbd>{{ padCap('outcome') }}</kbd> outcome,
          <kbd>{{ padCap('consequence') }}</kbd> what it meant</span
        >
      </summary>
      <div class="sides">
        <ol class="phases">
          <li v-for="(p, i) in phases" :key="p.phase">
            <button
              class="plain"
              type="button"
              :aria-label="`${p.phase}: ${mark?.phases[p.phase] ?? 'not marked'}. ${p.says}`"
              @click="turnPhase(film, man, i)"
            >
              <span class="sign" aria-hidden="true">{{
                mark?.phases[p.phase] ? PHASE_SIGNS[mark.phases[p.phase]!] : '·'
              }}</span>
              <kbd>⇧{{ PHASE_KEYS[i]?.toLowerCase() }}</kbd> <b>{{ p.phase }}</b> {{ p.says }}
            </button>
          </li>
        </ol>
        <div class="rest">
          <div class="hands">
            <span class="soft">Outcome</span>
            <button
              v-for="o in ['success', 'not', 'cannot tell'] as const"
              :key="o"
              class="plain"
              type="button"
              :aria-pressed="mark?.outcome === o"
              @click="film.change(man, { outcome: mark?.outcome === o ? null : o })"
            >
              {{ o === 'not' ? 'no success' : o }}
            </button>
            <span class="soft">It was</span>
            <button
              v-for="c in CONSEQUENCES"
              :key="c"
              class="plain"
              type="button"
              :aria-pressed="mark?.consequence === c"
              @click="film.change(man, { consequence: mark?.consequence === c ? null : c })"
            >
              {{ c }}
            </button>
            <label class="soft"
              >He hit
              <select
                :value="mark?.hit ?? ''"
                @change="film.change(man, { hit: ($event.target as HTMLSelectElement).value || null })"
              >
                <option value="">…</option>
                <option v-for="d in defenders" :key="d" :value="d">{{ d }}</option>
              </select></label
            >
          </div>
          <div class="hands">
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
          <div v-if="isPair" class="hands">
            <span class="soft">{{ pairOf(film, man).join(' and ') }} together</span>
            <button
              class="plain"
              type="button"
              :aria-pressed="mark?.pair?.movement === 'done'"
              @click="
                changePair(film, man, (now) => ({
                  movement: nextOf(['done', 'not', 'cannot tell'] as const, now?.movement),
                }))
              "
            >
              <kbd>{{ padCap('moved') }}</kbd> moved him: {{ mark?.pair?.movement ?? 'not marked' }}
            </button>
            <button
              class="plain"
              type="button"
              :aria-pressed="mark?.pair?.hips === 'done'"
              @click="
                changePair(film, man, (now) => ({ hips: nextOf(['done', 'not', 'cannot tell'] as const, now?.hips) }))
              "
            >
              <kbd>{{ padCap('hips') }}</kbd> hips together: {{ mark?.pair?.hips ?? 'not marked' }}
            </button>
            <button
              v-for="when in ['early', 'in time', 'late'] as const"
              :key="when"
              class="plain"
              type="button"
              :aria-pressed="mark?.pair?.left === man && mark?.pair?.when === when"
              @click="changePair(film, man, () => ({ left: man, when }))"
            >
              {{ man }} left {{ when }}
            </button>
          </div>
          <div class="hands">
            <button class="plain" type="button" @click="emit('frame')">
              <kbd>{{ padCap('frame') }}</kbd> mark this frame
            </button>
            <span v-for="(f, i) in mark?.frames ?? []" :key="i" class="frame">
              <button class="plain link" type="button" @click="emit('seek', f.angle, f.frame)">
                {{ f.says || 'look here' }}, frame {{ f.frame }}
              </button>
              <button
                class="plain soft"
                type="button"
                :aria-label="`take frame ${f.frame} away`"
                @click="removeFrame(i)"
              >
                ✕
              </button>
            </span>
          </div>
        </div>
      </div>
      <MarkHistory v-if="!film.readOnly && film.snap" :snap-id="film.snap.id" :man="man" />
      <p class="soft">{{ told }} {{ upperFirst(asked.because.sentence) }}.</p>
    </details>
    <label class="note-field"
      ><kbd>{{ padCap('note') }}</kbd> note
      <textarea
        ref="field"
        rows="1"
        maxlength="500"
        :value="mark?.note ?? ''"
        @change="film.change(man, { note: ($event.target as HTMLTextAreaElement).value })"
        @keydown.esc.stop="($event.target as HTMLElement).blur()"
        @keydown.enter.prevent="($event.target as HTMLElement).blur()"
      />
    </label>
  </section>
</template>

<style scoped>
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
[aria-pressed='true'] {
  color: var(--violet);
  font-weight: 700;
}
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
.points {
  font-variant-numeric: tabular-nums;
}
.naming {
  color: var(--violet);
  font-weight: 600;
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
@media (pointer: coarse) {
  .hands button {
    min-height: 34px;
  }
}
</style>
