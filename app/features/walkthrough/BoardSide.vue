<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import type { Resolution } from '#core/model/resolution';
import { cautionsFor } from '#core/reports/cautions';
import { sayShared } from '#core/reports/shared-sentence';
import { howMany } from '#core/vocabulary/how-many';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';
import LineupCompare from './LineupCompare.vue';
import MendList from './MendList.vue';
import MovementList from './MovementList.vue';
import OverruleRow from './OverruleRow.vue';
import PocketCard from './PocketCard.vue';
import TooFewList from './TooFewList.vue';
import WhyPanel from './WhyPanel.vue';
import { useWalkthrough } from './store';

const SLOW_MS = 500;
const props = defineProps<{ resolution: Resolution; selected: string | null }>();

const board = useWalkthrough();
const playbook = usePlaybook();
const schools = computed(() =>
  playbook.book
    .schoolsOf(board.call.scheme)
    .map(({ id, name }) => ({ id, name }))
    .filter((s) => s.id !== board.call.scheme),
);

const i = computed(() => props.resolution.identification);
const shown = computed(() => [
  {
    name: 'Front',
    value: upperFirst([i.value.family.name, ...i.value.family.subNames].join(', ')),
    why: i.value.family.because,
  },
  { name: 'Strength', value: upperFirst(i.value.strength.side), why: i.value.strength.because },
  { name: 'Box', value: upperFirst(i.value.box.spoken), why: i.value.box.because },
  { name: 'Left', value: upperFirst(i.value.sideCall.left.call), why: i.value.sideCall.left.because },
  { name: 'Right', value: upperFirst(i.value.sideCall.right.call), why: i.value.sideCall.right.because },
  {
    name: 'Count',
    value: i.value.linebackers.ids.map((id, n) => `${id} is L${n + 1}`).join(', ') || 'Nobody',
    why: i.value.linebackers.because,
  },
  { name: 'Mike', value: i.value.mike.id ?? 'Nobody', why: i.value.mike.because },
  {
    name: 'Bubbles',
    value: i.value.bubbles.gaps.map((g) => `${g.gap} ${g.side}`).join(', ') || 'None',
    why: i.value.bubbles.because,
  },
  {
    name: 'Edges',
    value: `${i.value.edge.left.endMan ?? 'nobody'}, ${i.value.edge.right.endMan ?? 'nobody'}`,
    why: `${i.value.edge.left.because} ${i.value.edge.right.because}`,
  },
  { name: 'Walked up', value: i.value.walkedUp.ids.join(', ') || 'Nobody', why: i.value.walkedUp.because },
  { name: 'Numbers', value: i.value.numbers.because, why: i.value.numbers.because },
]);
/** Who does something else by the other rules. */
const others = computed(() => {
  const n = board.comparison?.men.filter((m) => !m.same).length ?? 0;
  return `${howMany(n, 'man', 'men')} ${n === 1 ? 'does' : 'do'} something else`;
});
const cautions = computed(() => cautionsFor(props.resolution, playbook.settings.levelOfPlay));
/** Said only when it takes a while. */
const isSlow = refDebounced(
  computed(() => board.advising),
  SLOW_MS,
);
const assignment = computed(() => props.resolution.assignments.find((a) => a.blocker === props.selected) ?? null);
const defender = computed(() => props.resolution.defenders.find((d) => d.id === props.selected) ?? null);
const technique = computed(() => i.value.techniques.find((t) => t.id === props.selected) ?? null);
</script>

<template>
  <aside aria-label="What they show and why">
    <section v-if="resolution.problems.length || resolution.notes.length">
      <h2>{{ resolution.problems.length ? 'What is wrong' : 'Seen, and no fault' }}</h2>
      <ul class="problems">
        <li v-for="p in resolution.problems" :key="p.message" :class="p.severity">{{ p.message }}</li>
        <li v-for="note in resolution.notes" :key="note" class="soft">{{ note }}</li>
      </ul>
    </section>
    <p v-if="board.adviceProblem" class="problem" role="alert">{{ board.adviceProblem }}</p>
    <p v-else-if="isSlow" class="soft" role="status">Working out what it does when they move, and what mends it …</p>
    <TooFewList v-if="board.oneTooMany" :few="board.oneTooMany" @make="board.make" />
    <MendList v-if="board.mendings.length" :mendings="board.mendings" @make="board.make" />
    <WhyPanel v-if="assignment" :assignment="assignment" :resolution="resolution">
      <PocketCard v-if="board.card" :card="board.card" />
    </WhyPanel>
    <section v-else-if="defender">
      <h2>{{ defender.id }}</h2>
      <p>
        {{ technique?.label }}: {{ defender.status }}{{ defender.by.length ? ` by ${defender.by.join(' and ')}` : '' }}.
      </p>
      <p v-if="defender.because" class="soft">{{ upperFirst(defender.because) }}</p>
    </section>
    <section v-if="resolution.movement">
      <h2>When they move</h2>
      <p>
        {{ upperFirst(resolution.movement.before.verdict) }} before, {{ resolution.verdict }} after;
        {{
          resolution.movement.changed.length
            ? `${resolution.movement.changed.join(', ')} ${resolution.movement.changed.length === 1 ? 'does' : 'do'} something else`
            : 'everybody does what he was to do'
        }}.
      </p>
    </section>
    <section v-if="resolution.passing">
      <h2>In the pocket</h2>
      <p v-for="s in resolution.passing.scans" :key="s.blocker">
        <b>{{ s.blocker }}</b> scans {{ s.order.join(', then ') || 'nobody' }}
      </p>
      <p v-for="s in resolution.passing.shared" :key="s.blockers.join()">{{ sayShared(s) }}</p>
      <p v-for="h in resolution.passing.hot.slice(0, 3)" :key="h.id">
        <b>{{ h.id }}</b>{{ ' ' }}
        <span class="soft"
          >nobody has him: {{ h.arrives.toFixed(1) }} s to the spot, out at
          {{ resolution.passing.time.toFixed(1) }} s</span
        >
      </p>
      <p v-if="board.beatenBy.length">
        Beaten by
        <template v-for="(w, n) in board.beatenBy.slice(0, 4)" :key="`${w.id} ${w.gap}`"
          >{{ n ? ', ' : ''
          }}<button
            class="plain link"
            type="button"
            :aria-pressed="board.pressureShown === `${w.id} ${w.gap}`"
            @click="board.pressureShown = board.pressureShown === `${w.id} ${w.gap}` ? null : `${w.id} ${w.gap}`"
          >
            {{ w.id }} through the {{ w.gap }}
          </button></template
        >
      </p>
      <p v-else class="soft">No pressure of four to seven frees anybody in time.</p>
      <NuxtLink
        :to="{
          path: '/protection',
          query: {
            play: resolution.scheme,
            side: resolution.side,
            formation: board.call.formation,
            front: board.frontText,
          },
        }"
        >Every pressure against it</NuxtLink
      >
    </section>
    <section v-if="cautions.length" class="care">
      <h2>Care</h2>
      <p v-for="c in cautions" :key="c.id">
        <b>{{ c.who.join(', ') }}</b> {{ c.says }}
      </p>
    </section>
    <section>
      <h2>What they show</h2>
      <dl>
        <template v-for="item in shown" :key="item.name">
          <dt class="soft">{{ item.name }}</dt>
          <dd>
            <details v-if="item.name !== 'Numbers'">
              <summary>{{ item.value }}</summary>
              <p class="soft">{{ item.why }}</p>
            </details>
            <template v-else>{{ item.value }}</template>
          </dd>
        </template>
      </dl>
    </section>
    <OverruleRow />
    <section v-if="schools.length">
      <h2>Beside another school</h2>
      <select
        aria-label="Compare with"
        :value="board.otherSchool ?? ''"
        @change="board.otherSchool = ($event.target as HTMLSelectElement).value || null"
      >
        <option value="">none</option>
        <option v-for="s in schools" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select>
      <p v-if="board.comparison" class="soft">
        {{ others }}; {{ board.comparison.answer.verdict }} against {{ resolution.verdict }}.
      </p>
    </section>
    <MovementList />
    <LineupCompare />
    <section>
      <h2>Said at the line</h2>
      <ol class="calls">
        <li v-for="(c, n) in resolution.calls" :key="n">
          <b>{{ c.from }}</b> <span>“{{ c.word }}”</span>{{ ' ' }}
          <span class="soft">{{ c.to === 'all' ? 'to all' : `to ${c.to}` }}</span>
        </li>
      </ol>
    </section>
  </aside>
</template>

<style scoped>
aside {
  border-left: 1px solid var(--rule);
  padding: 12px 16px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  font-size: 13.5px;
}
section {
  display: grid;
  gap: 5px;
  grid-template-columns: minmax(0, 1fr);
}
section + section {
  border-top: 1px solid var(--rule);
  padding-top: 11px;
}
dl {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr);
  gap: 3px 8px;
}
summary {
  cursor: pointer;
  list-style: none;
  text-decoration: underline dotted var(--soft);
  text-underline-offset: 3px;
}
summary::-webkit-details-marker {
  display: none;
}
.care p {
  border-left: 3px solid var(--risk);
  padding-left: 8px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
.problems {
  display: grid;
  gap: 5px;
}
.problems .broken {
  color: var(--broken);
  font-weight: 600;
}
.problems .risk {
  color: var(--risk);
  font-weight: 600;
}
select {
  font: inherit;
  font-size: 13px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 2px 4px;
  max-width: 100%;
}
.calls {
  display: grid;
  gap: 3px;
}
.calls b {
  display: inline-block;
  width: 28px;
}
@media (max-width: 900px) {
  aside {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
