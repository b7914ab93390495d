<script setup lang="ts">
import { computed, ref } from 'vue';
import { useWalkthrough } from './store';

const board = useWalkthrough();
/** Everything, or only what the call does not stand up to. */
const all = ref(false);
const tally = computed(() => board.underMovement.flatMap((g) => g.moves));
const bad = computed(() => tally.value.filter((m) => m.verdict !== 'sound').length);
const groups = computed(() => board.underMovement.map((g) => ({ ...g, moves: g.moves.filter((m) => all.value || m.verdict !== 'sound') })).filter((g) => g.moves.length));
const choose = (said: string): void => board.setMoves(board.call.moves.join() === said ? [] : [said]);
</script>

<template>
  <section v-if="tally.length">
    <h2>If they move</h2>
    <p>{{ bad ? `${bad} of ${tally.length} movements put it at risk or break it.` : `Sound under all ${tally.length} movements.` }} <button class="plain link" type="button" :aria-pressed="all" @click="all = !all">{{ all ? 'only those' : 'show all' }}</button></p>
    <div v-for="g in groups" :key="g.name">
      <h3 class="soft">{{ g.name }}</h3>
      <ul>
        <li v-for="m in g.moves" :key="m.said"><VerdictShape :verdict="m.verdict" /> <button class="plain link" type="button" :aria-pressed="board.call.moves.join() === m.said" @click="choose(m.said)">{{ m.name }}</button><span class="visually-hidden"> {{ m.verdict }}</span></li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
section { display: grid; gap: 5px; border-top: 1px solid var(--rule); padding-top: 11px; }
h3 { font-size: 12px; font-weight: 400; }
ul { display: grid; gap: 2px; }
li { display: flex; gap: 6px; align-items: center; font-size: 13px; }
[aria-pressed='true'] { font-weight: 700; }
</style>
