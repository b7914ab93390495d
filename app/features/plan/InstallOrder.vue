<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed } from 'vue';
import { SHIPPED_PRACTICE } from '#core/model/practice';
import { isSamePlay } from '#core/model/week-plan';
import { gateOf, sayGate } from '#core/plan/gates';
import { installOrder, type InstallStep } from '#core/plan/install';
import { WALKS, walksSoFar } from '#core/plan/reps-so-far';
import { blockWord } from '#core/plan/say-number';
import { useWeekRooms } from '~/features/week/rooms';
import { sayPlayOf } from './say-play';
import { usePlaybook } from '~/features/playbook/store';
import { useQuizResults } from '~/features/quiz/results';
import { useWeek } from '~/features/week/store';
import { usePlan } from './store';

/** In which order the plays are put in, and what each asks every place to learn. */
const { to } = useWeekRooms();
const plan = usePlan();
const week = useWeek();
const playbook = usePlaybook();
const { results, problem } = useQuizResults();
const practised = computed(() => ({ scripts: week.bodies.scripts.scripts, marks: week.week?.marks ?? [] }));
const walked = (play: number): string => `walked ${walksSoFar(plan.plan.plays[play]!, practised.value)} of ${WALKS}`;
/** How a play stands before the gate the coach has set. */
const gate = (play: number) =>
  gateOf(plan.plan.plays[play]!, results.value, practised.value, playbook.program.practice ?? SHIPPED_PRACTICE);
const gates = computed(() => steps.value.map((s) => gate(s.play)));
const steps = computed(() => (plan.cells.length ? installOrder(plan.plan, plan.cells) : []));
const NOTHING = -1;
const others = (play: number): number[] => plan.plan.plays.flatMap((_, i) => (i === play ? [] : [i]));
const namedAfter = (play: number): number => {
  const { after } = plan.plan.plays[play]!;
  return after ? plan.plan.plays.findIndex((p) => isSamePlay(p, after)) : NOTHING;
};
function buildOn(play: number, on: number): void {
  const named = plan.plan.plays[on];
  void plan.changePlay(play, {
    after: named && { scheme: named.scheme, side: named.side, tags: named.tags },
  });
}
const percent = (share: number): string => `${Math.round(100 * share)} %`;
const opens = ({ unlocks, covered }: InstallStep): string =>
  unlocks > 0 ? `opens ${percent(unlocks)} of the game, ${percent(covered)} with those before it` : 'opens nothing new';
const learns = ({ adds }: InstallStep): string =>
  adds
    .map(({ seat, sentences, blocks }) => {
      const said = howMany(sentences, 'sentence');
      return `${seat} ${[said, ...blocks.map(blockWord)].join(', ')}`;
    })
    .join(' · ') || 'nothing anybody does not know';
</script>

<template>
  <section v-if="steps.length > 1" aria-label="Putting them in">
    <h2>In which order to put them in</h2>
    <p class="soft">
      Next is what opens most of the game for what it asks people to learn. Each is walked through {{ WALKS }} times
      before it is run, and as often again at the week’s last practice:
      <NuxtLink :to="to('/week/scripts')">make the walk-through</NuxtLink>.
    </p>
    <p v-if="problem" class="problem" role="alert">The quiz is not counted here: {{ problem }}</p>
    <ol>
      <li v-for="(s, i) in steps" :key="s.play">
        <b>{{ i + 1 }}</b>
        <span class="play">
          {{ sayPlayOf(plan.plan.plays[s.play]!) }}
          <select
            class="field after"
            :value="namedAfter(s.play)"
            :aria-label="`What ${sayPlayOf(plan.plan.plays[s.play]!)} builds on`"
            @change="buildOn(s.play, Number(($event.target as HTMLSelectElement).value))"
          >
            <option :value="NOTHING">builds on nothing</option>
            <option v-for="o in others(s.play)" :key="o" :value="o">after {{ sayPlayOf(plan.plan.plays[o]!) }}</option>
          </select>
        </span>
        <span>{{ opens(s) }}</span>
        <span class="soft">{{ learns(s) }}</span>
        <span :class="gates[i]!.state.replace(' ', '-')">{{ walked(s.play) }}; {{ sayGate(gates[i]!) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
section {
  padding: 4px 20px 40px;
}
section > p {
  font-size: 12.5px;
}
ol {
  margin-top: 6px;
  border-top: 2px solid var(--ink);
  font-variation-settings: var(--narrow);
}
li {
  display: grid;
  grid-template-columns: 22px minmax(170px, 1fr) minmax(170px, 1fr) minmax(0, 2.4fr) minmax(150px, 1fr);
  gap: 2px 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.play {
  font-weight: 650;
}
.after {
  display: block;
  max-width: 100%;
  font-size: 12px;
  font-weight: 400;
  color: var(--soft);
}
@media (max-width: 800px) {
  li {
    grid-template-columns: 22px minmax(0, 1fr);
  }
  li > span {
    grid-column: 2;
  }
}
.problem,
.not-reached {
  color: var(--broken);
  font-weight: 600;
}
.reached {
  color: var(--sound);
}
</style>
