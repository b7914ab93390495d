<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { ProtectJob, Proved } from '#core/calls/protect-job';
import { bestRusher, sayTwoOn, twoOn } from '#core/protect/matchups';
import { useRatings } from './ratings';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';
import { useProofs } from '~/workers/start';
import { useProtection } from './store';

const p = useProtection();
const playbook = usePlaybook();
const survey = useProofs();
const by = ref<'protections' | 'fronts'>('protections');
/** Their best rusher, whom a coach wants two men on. */
const best = ref('');
const rushers = computed(() => p.front?.defenders.filter((d) => d.y <= 4.5).map((d) => d.id) ?? []);
const { ratings } = useRatings();
/** Whom the coach rates highest is marked, until he marks another. */
watch(
  [rushers, () => bestRusher(rushers.value, ratings())],
  ([ids, rated]) => {
    if (!ids.includes(best.value)) best.value = rated ?? '';
    else if (best.value === '' && rated) best.value = rated;
  },
  { immediate: true },
);

const calls = computed(() =>
  by.value === 'fronts'
    ? [{ ...p.call, tags: [...p.call.tags], without: [...p.call.without], overrides: { ...p.overrides } }]
    : p.protections.flatMap(({ id, from }) =>
        (['left', 'right'] as const).map((side) => ({
          scheme: id,
          formation: from,
          side,
          tags: [],
          without: [],
          overrides: {},
        })),
      ),
);
const job = computed<ProtectJob>(() => ({
  own: playbook.ownTexts,
  settings: playbook.settings,
  calls: calls.value.map((c) => ({ ...c })),
  fronts: by.value === 'fronts' ? playbook.fronts.map((f) => f.id) : [p.call.front],
}));
const total = computed(() => job.value.calls.length * job.value.fronts.length);
watch(job, () => survey.ask(job.value), { immediate: true });

const NUMBERS = [4, 5, 6, 7];
const rows = computed(() =>
  survey.found.value
    .map((f) => {
      const call = calls.value[f.call]!;
      const two = f.proof.doubles.find((d) => d.on === best.value);
      return {
        key: `${f.call} ${f.front}`,
        f,
        call,
        name:
          by.value === 'fronts'
            ? playbook.book.name('fronts', f.front)
            : `${playbook.book.name('schemes', call.scheme)}, ${call.side}`,
        cells: NUMBERS.map((n) => f.proof.byNumber.find((b) => b.rushers === n)?.counts ?? null),
        soonest: f.proof.ways.length ? Math.min(...f.proof.ways.map((w) => w.soonest)) : null,
        two: two ? two.by.join(' and ') : 'one man',
        on: by.value === 'protections' && call.scheme === p.call.scheme && call.side === p.call.side,
      };
    })
    .sort(
      (a, b) =>
        a.f.proof.counts.short / a.f.proof.counts.all - b.f.proof.counts.short / b.f.proof.counts.all ||
        (a.name < b.name ? -1 : 1),
    ),
);

/** Slides and counts that put two men on him, with what that costs elsewhere. */
const two = computed(() =>
  twoOn(
    best.value,
    rows.value.map((r) => ({ name: r.name, proof: r.f.proof })),
  ),
);

const open = ({ call, front }: Pick<Proved, 'front'> & { call: (typeof calls.value)[number] }): void =>
  p.setUp({
    ...p.call,
    scheme: call.scheme,
    side: call.side,
    formation: call.formation,
    front,
    tags: by.value === 'fronts' ? p.call.tags : [],
    without: [],
    mike: '',
  });
</script>

<template>
  <section class="compare" aria-label="Compared">
    <header>
      <h2>
        {{
          by === 'protections'
            ? 'Every protection against this front, short of how many'
            : 'This protection against every front, short of how many'
        }}
      </h2>
      <span role="group" aria-label="Compare by">
        <button class="plain tag" type="button" :aria-pressed="by === 'protections'" @click="by = 'protections'">
          protections
        </button>
        <button class="plain tag" type="button" :aria-pressed="by === 'fronts'" @click="by = 'fronts'">fronts</button>
      </span>
      <label v-if="by === 'protections'"
        >their best rusher
        <select v-model="best">
          <option value="">none marked</option>
          <option v-for="id in rushers" :key="id" :value="id">{{ id }}</option>
        </select>
      </label>
      <span v-if="survey.running.value" class="soft" role="status"
        >{{ survey.done.value }} of {{ total }}
        <button class="plain link" type="button" @click="survey.stop">stop</button></span
      >
    </header>
    <p v-if="survey.problem.value" class="problem" role="alert">{{ survey.problem.value }}</p>
    <p v-if="best && by === 'protections'" class="two">
      <b>Two on {{ best }}:</b> {{ sayTwoOn(two) }}
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ by === 'protections' ? 'Protection' : 'Front' }}</th>
          <th v-for="n in NUMBERS" :key="n" scope="col">{{ n }} come</th>
          <th scope="col">Soonest free</th>
          <th scope="col">Out at</th>
          <th v-if="best" scope="col" class="words">On {{ best }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.key" :class="{ on: r.on }">
          <th scope="row">
            <button class="plain link" type="button" @click="open({ call: r.call, front: r.f.front })">
              {{ r.name }}
            </button>
          </th>
          <td v-for="(c, i) in r.cells" :key="i" :class="{ bad: c?.short }">
            {{ c ? (c.short ? `${c.short} of ${c.all}` : 'holds') : '' }}
          </td>
          <td>{{ r.soonest === null ? '' : `${r.soonest.toFixed(1)} s` }}</td>
          <td>{{ r.f.proof.time.toFixed(1) }} s</td>
          <td v-if="best" class="words">{{ upperFirst(r.two) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 8px;
  padding: 14px 0 20px;
  overflow-x: auto;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: baseline;
  font-size: 13px;
}
.tag {
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 7px;
  font-size: 12.5px;
  color: var(--soft);
  margin-right: 5px;
}
.tag[aria-pressed='true'] {
  border-color: var(--violet);
  color: var(--violet);
  font-weight: 650;
  background: var(--wash);
}
select {
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 4px;
}
table {
  border-collapse: collapse;
  font-size: 13.5px;
  font-variant-numeric: tabular-nums;
  font-variation-settings: var(--narrow);
}
th,
td {
  text-align: right;
  padding: 3px 10px 3px 6px;
  border-bottom: 1px solid var(--rule);
  font-weight: 400;
  white-space: nowrap;
}
thead th {
  color: var(--soft);
  font-size: 12.5px;
  border-bottom: 2px solid var(--ink);
}
th:first-child,
.words {
  text-align: left;
}
.bad {
  color: var(--broken);
  font-weight: 650;
}
.on {
  background: var(--wash);
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
