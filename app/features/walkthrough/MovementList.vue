<script setup lang="ts">
import { computed, ref } from 'vue';
import { useWalkthrough } from './store';

const board = useWalkthrough();
/** Everything, or only where something goes wrong that is right as they stand. */
const all = ref(false);
const tally = computed(() => board.underMovement?.groups.flatMap((g) => g.moves) ?? []);
const groups = computed(() =>
  (board.underMovement?.groups ?? [])
    .map((g) => ({ ...g, moves: g.moves.filter((m) => all.value || m.adds) }))
    .filter((g) => g.moves.length),
);
const sentence = computed(() => {
  const [bad, of] = [tally.value.filter((m) => m.adds).length, tally.value.length];
  if (board.underMovement?.still === 'sound')
    return bad ? `${bad} of ${of} movements put it at risk or break it.` : `Sound under all ${of} movements.`;
  const still = `${board.underMovement?.still === 'broken' ? 'Broken' : 'At risk'} as they stand;`;
  return bad ? `${still} ${bad} of ${of} movements add to it.` : `${still} none of ${of} movements adds to it.`;
});
const choose = (said: string): void => board.setMoves(board.call.moves.join() === said ? [] : [said]);
</script>

<template>
  <section v-if="tally.length">
    <h2>If they move</h2>
    <p>
      {{ sentence }}
      <button class="plain link" type="button" :aria-pressed="all" @click="all = !all">
        {{ all ? 'only those' : 'show all' }}
      </button>
    </p>
    <div v-for="g in groups" :key="g.name">
      <h3 class="soft">{{ g.name }}</h3>
      <ul>
        <li v-for="m in g.moves" :key="m.said">
          <VerdictShape :verdict="m.verdict" />{{ ' ' }}
          <button
            class="plain link"
            type="button"
            :aria-pressed="board.call.moves.join() === m.said"
            @click="choose(m.said)"
          >
            {{ m.name }}</button><span class="visually-hidden"> {{ m.verdict }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped src="./side-list.css"></style>
<style scoped>
h3 {
  font-size: 12px;
  font-weight: 400;
}
ul {
  gap: 2px;
}
li {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 13px;
}
[aria-pressed='true'] {
  font-weight: 700;
}
</style>
