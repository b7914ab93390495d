<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { postOf, suggestSentence } from '#core/compare/suggest';
import type { StressJob } from '#core/calls/stress-job';
import type { Cause } from '#core/stress/stress';
import { usePlaybook } from '~/features/playbook/store';
import { download } from '~/features/playbook/files';
import { useProof } from './proof';
import { useSpaces } from './spaces';
import { useRules } from './store';

const emit = defineEmits<{ goTo: [line: number] }>();
const rules = useRules();
const playbook = usePlaybook();
const proof = useProof();
const spaces = useSpaces(() => rules.formationId);
const FIRST = 'book even';
const space = ref(FIRST);
const picker = ref<HTMLInputElement | null>(null);
const limit = ref(100_000);
watch([() => rules.id, () => rules.side, () => rules.tagChoice], proof.clear);
const LIMITS = [20_000, 100_000, 1_000_000];

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const key = input.files?.[0] ? await spaces.take(input.files[0]) : null;
  input.value = '';
  if (key) space.value = key;
}

function save(): void {
  const text = spaces.textOf(space.value);
  if (text) download(`${space.value.replaceAll(' ', '-')}.json`, text);
}

async function retire(): Promise<void> {
  if (await spaces.retire(space.value)) space.value = FIRST;
}

function start(): void {
  const text = spaces.textOf(space.value);
  if (!text) return;
  const job: StressJob = {
    scheme: rules.text,
    formation: { text: playbook.book.text('formations', rules.formationId)!, inline: false },
    space: text,
    side: rules.side,
    ...rules.tagChoice,
    settings: playbook.settings,
  };
  proof.start(job, limit.value, 1);
}

const percent = (part: number): string =>
  proof.tally.value.fronts ? `${((100 * part) / proof.tally.value.fronts).toFixed(1)} %` : '0 %';
const count = (n: number): string => n.toLocaleString('en');
const shares = computed(() => [
  { name: 'sound', n: proof.tally.value.sound, verdict: 'sound' as const },
  { name: 'at risk', n: proof.tally.value.atRisk, verdict: 'at risk' as const },
  { name: 'broken', n: proof.tally.value.broken, verdict: 'broken' as const },
]);

/** The blocker a cause is about, as the rules call him; nobody when it is about none of the five. */
const manOf = (cause: Cause): string | null => {
  const seat = proof.blockerOf(cause);
  return seat === null ? null : postOf(seat, rules.side);
};

function addSentence(cause: Cause): void {
  const man = manOf(cause);
  const found = man === null ? null : suggestSentence(rules.text, man);
  if (!found) return;
  const lines = rules.text.split('\n');
  lines.splice(found.line - 1, 0, found.sentence);
  rules.text = lines.join('\n');
  emit('goTo', found.line);
}
</script>

<template>
  <section aria-label="Proof over fronts">
    <h2>Proof over fronts</h2>
    <div class="ask">
      <select v-model="space" class="space" aria-label="Space of fronts">
        <optgroup v-for="g in spaces.groups.value" :key="g.name" :label="g.name">
          <option v-for="c in g.choices" :key="c.key" :value="c.key">{{ c.name }}</option>
        </optgroup>
      </select>
      <select v-model.number="limit" aria-label="How many">
        <option v-for="l in LIMITS" :key="l" :value="l">up to {{ count(l) }}</option>
      </select>
      <button v-if="!proof.running.value" class="plain link" type="button" :disabled="!rules.compiled" @click="start">
        Prove it
      </button>
      <button v-else class="plain link" type="button" @click="proof.stop">Stop</button>
    </div>
    <p class="acts">
      <button class="plain link" type="button" @click="save">Save this space as a file</button>
      <button class="plain link" type="button" @click="picker?.click()">Take one of your own</button>
      <button v-if="spaces.ownOf(space)" class="plain link" type="button" @click="retire">Retire it</button>
      <input
        ref="picker"
        class="visually-hidden"
        type="file"
        accept=".json,application/json"
        tabindex="-1"
        aria-label="Space of fronts to take"
        @change="take"
      />
    </p>
    <p v-if="spaces.problem.value || proof.problem.value" class="broken" role="alert">
      {{ spaces.problem.value || proof.problem.value }}
    </p>
    <div v-if="proof.total.value" role="status">
      <progress :value="proof.share.value" max="1" aria-label="Proof so far" />
      <p class="soft">
        {{ count(proof.done.value) }} of {{ count(proof.total.value) }} fronts{{
          proof.running.value ? ' …' : proof.done.value < proof.total.value ? ', stopped' : ''
        }}
      </p>
      <ul class="shares">
        <li v-for="s in shares" :key="s.name">
          <VerdictShape :verdict="s.verdict" /> <b>{{ percent(s.n) }}</b> {{ s.name }}
          <span class="soft">{{ count(s.n) }}</span>
        </li>
      </ul>
      <p v-if="proof.tally.value.holes">
        {{ count(proof.tally.value.holes) }} fronts show a hole in the rules themselves.
      </p>
    </div>
    <ol class="causes">
      <li v-for="c in proof.tally.value.causes.slice(0, 8)" :key="c.key">
        <VerdictShape :verdict="c.severity === 'broken' ? 'broken' : 'at risk'" />
        <div>
          <p>
            {{ c.smallest.message }} <span class="soft">{{ count(c.count) }} fronts</span>
          </p>
          <p class="acts">
            <NuxtLink :to="{ path: '/walkthrough', query: { ...rules.address, front: proof.frontOf(c) } }"
              >plainest front</NuxtLink
            >
            <button
              v-if="c.smallest.lines.length"
              class="plain link"
              type="button"
              @click="emit('goTo', c.smallest.lines[0]!)"
            >
              line {{ c.smallest.lines[0] }}
            </button>
            <button v-if="manOf(c)" class="plain link" type="button" @click="addSentence(c)">
              add a sentence for the {{ manOf(c) }}
            </button>
          </p>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
select {
  font: inherit;
  font-size: 13px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 2px 4px;
}
progress {
  width: 100%;
  accent-color: var(--violet);
  height: 6px;
}
.space {
  max-width: 172px;
}
.shares {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding-top: 4px;
}
.shares li,
.causes li {
  display: flex;
  gap: 6px;
  align-items: center;
}
.causes {
  display: grid;
  gap: 7px;
  font-size: 13px;
}
.causes li {
  align-items: flex-start;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 12.5px;
}
.broken {
  color: var(--broken);
  font-weight: 600;
}
button:disabled {
  opacity: 0.5;
  cursor: default;
}
</style>
