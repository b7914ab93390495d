<script setup lang="ts">
import { computed, ref } from 'vue';
import type { SeenFront } from '#core/model/week';
import { identify } from '#core/identify/identify';
import { sayMovement } from '#core/language/lineups/read-movement';
import { saySeen } from '#core/plan/say-seen';
import { GENERAL_MOVES, type GeneralMove } from '#core/movement/menu';
import { usePlaybook } from '~/features/playbook/store';
import { useWeek } from '~/features/week/store';
import { usePlan } from './store';

/** One more look: what they showed before with its count, or a front of the book with what it does after the snap. */
const plan = usePlan();
const week = useWeek();
const playbook = usePlaybook();
const STILL = 'still';
const opponent = computed(() => week.game?.opponent ?? '');
/** Their own fronts first. */
const fronts = computed(() => {
  const theirs = playbook.fronts.filter((f) => f.opponent === opponent.value);
  const others = playbook.fronts.filter((f) => f.opponent === null && f.against === '');
  return [
    { name: opponent.value, items: theirs },
    { name: 'every front', items: others },
  ].filter((g) => g.items.length > 0);
});
const front = ref(fronts.value[0]?.items[0]?.id ?? '');
const move = ref<GeneralMove | typeof STILL>(STILL);
const weight = ref(5);

/** The front's text with the movement in it, against the plan's own formation where it has one. */
const look = computed(() => {
  const formation = playbook.book.formation(plan.plan.plays[0]?.formation ?? 'tight-end');
  const still = playbook.book.clauses('fronts', front.value);
  const name = playbook.book.name('fronts', front.value);
  if (move.value === STILL || !formation.ok) return { front: still, frontName: name };
  const placed = playbook.book.front(front.value, formation.value, playbook.settings);
  if (!placed.ok) return { front: still, frontName: name };
  const mike = identify(formation.value, placed.value, { side: 'right', settings: playbook.settings }).mike.id;
  const moves = GENERAL_MOVES[move.value].of(placed.value, mike).map(sayMovement);
  return { front: [still, ...moves].join('; '), frontName: `${name}, ${GENERAL_MOVES[move.value].name}` };
});
const isThere = computed(() => plan.plan.looks.some((l) => l.front === look.value.front));

const takeSeen = (seen: SeenFront): Promise<boolean> =>
  plan.addLook({
    front: seen.front,
    frontName: seen.frontName,
    weight: seen.snaps,
    seen: saySeen(seen),
  });
const add = (): Promise<boolean> => plan.addLook({ ...look.value, weight: weight.value, seen: '' });
</script>

<template>
  <div class="looks">
    <form aria-label="One more look" @submit.prevent="add">
      <span>They show</span>
      <select v-model="front" class="field" aria-label="Front">
        <optgroup v-for="g in fronts" :key="g.name" :label="g.name">
          <option v-for="f in g.items" :key="f.id" :value="f.id">{{ f.name }}</option>
        </optgroup>
      </select>
      <span>and</span>
      <select v-model="move" class="field" aria-label="After the snap">
        <option :value="STILL">stand still</option>
        <option v-for="(m, id) in GENERAL_MOVES" :key="id" :value="id">{{ m.name }}</option>
      </select>
      <label
        >weight
        <input v-model.number="weight" class="field" type="number" min="1" max="1000" required />
      </label>
      <button class="strong" type="submit" :disabled="isThere">{{ isThere ? 'is in the plan' : 'Put it in' }}</button>
    </form>
    <p v-if="plan.unused.length" class="seen">
      <span class="soft">They have shown:</span>
      <button v-for="s in plan.unused" :key="s.front" class="plain link" type="button" @click="takeSeen(s)">
        {{ s.frontName }} <span class="soft">{{ saySeen(s) }}</span>
      </button>
    </p>
  </div>
</template>

<style scoped>
form,
.seen {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: baseline;
}
.seen {
  margin-top: 8px;
  gap: 4px 16px;
  font-size: 13px;
}
.seen .link .soft {
  font-weight: 400;
}
input {
  width: 56px;
}
</style>
