<script setup lang="ts">
import { computed, ref } from 'vue';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { callOfName, nameOfCall } from '#core/names/names';
import { describeMovement, movementMenu } from '#core/movement/menu';
import { sayMovement } from '#core/language/lineups/read-movement';
import { NEEDS, sayNeed } from '#core/model/standard';
import { verdictSentence } from '#core/reports/verdict-sentence';
import { releaseFocus } from '~/features/hands/in-field';
import type { Side } from '#core/model/side';
import { usePlaybook } from '~/features/playbook/store';
import { useWalkthrough, type BoardCall } from './store';

const board = useWalkthrough();

const playbook = usePlaybook();
const fronts = computed(() => {
  const own = board.done.length || !playbook.fronts.some((f) => f.id === board.call.front);
  const base = playbook.fronts.find((f) => f.id === board.call.front)?.name.toLowerCase();
  return own
    ? [...playbook.fronts, { id: board.frontText, name: base ? `${base}, moved` : 'own front' }]
    : playbook.fronts;
});
const formations = computed(() =>
  playbook.formations.some((f) => f.id === board.call.formation)
    ? playbook.formations
    : [...playbook.formations, { id: board.call.formation, name: 'own formation' }],
);
const sides = [
  { id: 'left', name: 'left' },
  { id: 'right', name: 'right' },
];

/** Another front has other men: a movement of one of the old ones goes with them. */
const set = (change: Partial<BoardCall>): void =>
  board.setUp({ ...board.call, front: board.frontText, ...(change.front ? { moves: [] } : {}), ...change });

const STILL = 'still';
const moves = computed(() => [
  { name: 'Nothing', items: [{ id: STILL, name: 'stand still' }] },
  ...(board.front && board.formation ? movementMenu(board.front, board.formation) : []).map((g) => ({
    name: g.name,
    items: g.moves.map((m) => ({ id: sayMovement(m), name: describeMovement(m) })),
  })),
]);
const chosen = computed(() => {
  const said = board.call.moves.join('; ') || STILL;
  return moves.value.some((g) => g.items.some((i) => i.id === said)) ? said : null;
});
const ANY_DOWN = 'any';
const downs = computed(() => {
  const { on } = board.call;
  const usual = NEEDS.map(sayNeed);
  const said = on === '' || usual.includes(on) ? usual : [...usual, on];
  return [{ id: ANY_DOWN, name: 'any down' }, ...said.map((n) => ({ id: n, name: n }))];
});
const ownMoves = computed(() => board.front?.movements.map(describeMovement) ?? []);

const called = ref('');
const callProblem = ref('');
const name = computed(() => {
  const said = nameOfCall(playbook.naming, {
    scheme: board.call.scheme,
    side: board.call.side,
    formation: board.call.formation in playbook.naming.formations ? board.call.formation : null,
    motion: null,
    tags: board.call.tags,
  });
  return said.ok ? said.value : '';
});

/** Reads a call as the program says it; what cannot be read is named and the board stays. */
function sayCall(): void {
  const read = callOfName(playbook.naming, called.value);
  callProblem.value = read.ok ? '' : `${wordDiagnostic(read.diagnostics[0]!)}.`;
  if (!read.ok) return;
  set({
    scheme: read.value.scheme,
    side: read.value.side,
    tags: [...read.value.tags],
    without: [],
    ...(read.value.formation ? { formation: read.value.formation } : {}),
  });
  called.value = '';
  releaseFocus();
}

const sentence = computed(() => (board.resolution ? verdictSentence(board.resolution) : ''));
</script>

<template>
  <header class="call">
    <div class="words" role="group" aria-label="Call">
      <span>{{ board.resolution?.passing ? 'Protect with' : 'Run' }}</span>
      <WordSelect
        :value="board.call.scheme"
        :options="playbook.playsWith(board.call.scheme)"
        label="Play"
        filter
        groups="family"
        @choose="set({ scheme: $event })"
      />
      <span>to the</span>
      <WordSelect :value="board.call.side" :options="sides" label="Side" @choose="set({ side: $event as Side })" />
      <span>from</span>
      <WordSelect
        :value="board.call.formation"
        :options="formations"
        label="Formation"
        filter
        @choose="set({ formation: $event })"
      />
      <span>against</span>
      <WordSelect :value="board.frontText" :options="fronts" label="Front" filter @choose="set({ front: $event })" />
      <span>{{ ownMoves.length ? `(${ownMoves.join(', ')}) ` : '' }}who</span>
      <WordSelect
        :value="chosen"
        :options="moves"
        label="After the snap"
        filter
        groups="name"
        :placeholder="board.call.moves.join('; ')"
        @choose="board.setMoves($event === STILL ? [] : [$event])"
      />
      <template v-if="!board.resolution?.passing">
        <span>on</span>
        <WordSelect
          :value="board.call.on || ANY_DOWN"
          :options="downs"
          label="Down it is judged on"
          @choose="set({ on: $event === ANY_DOWN ? '' : $event })"
        />
      </template>
      <TagToggles v-if="board.tags.length" class="tags" :tags="board.tags" @toggle="board.switchTag($event)" />
    </div>
    <form class="named" @submit.prevent="sayCall">
      <input
        v-model="called"
        :placeholder="name || 'no name for this'"
        aria-label="Call it by its name"
        :aria-describedby="callProblem ? 'call-problem' : undefined"
        @keydown.stop
        @input="callProblem = ''"
      />
      <p v-if="callProblem" id="call-problem" role="alert">{{ callProblem }}</p>
    </form>
    <VerdictWord v-if="board.resolution" class="verdict" :verdict="board.resolution.verdict" :sentence="sentence" />
  </header>
</template>

<style scoped>
.call {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 20px;
  border-bottom: 1px solid var(--rule);
  min-height: 64px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 7px;
  align-items: center;
  font-size: 17px;
}
.named {
  margin-left: auto;
  position: relative;
}
.named input {
  font: inherit;
  font-size: 13.5px;
  width: 168px;
  padding: 3px 8px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
}
.named input::placeholder {
  color: var(--violet);
  opacity: 1;
  font-weight: 600;
}
.named p {
  position: absolute;
  top: 100%;
  right: 0;
  z-index: 5;
  width: 280px;
  background: var(--sheet);
  border: 1px solid var(--broken);
  color: var(--broken);
  padding: 4px 8px;
  font-size: 12.5px;
}
.verdict {
  max-width: 290px;
  font-size: 13.5px;
}
.tags {
  margin-left: 6px;
}
@media (max-width: 900px) {
  .call {
    flex-direction: column;
    align-items: flex-start;
  }
}
</style>
