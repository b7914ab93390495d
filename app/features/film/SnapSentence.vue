<script setup lang="ts">
import { computed, ref } from 'vue';
import { releaseFocus } from '~/features/hands/in-field';
import type { Side } from '#core/model/side';
import type { Call } from '#core/model/snap';
import { schemeName } from '~/features/board/scheme-names';
import { usePlaybook } from '~/features/playbook/store';
import { useFilm } from './store';

const film = useFilm();
const pending = ref<{ call: Call; affected: string[] } | null>(null);
/** While a change is being asked about, the words show what was chosen; leaving it brings the old ones back. */
const call = computed(() => pending.value?.call ?? film.snap!.call);
const situation = computed(() => film.snap!.situation);

const playbook = usePlaybook();
const sides = [
  { id: 'left', name: 'left' },
  { id: 'right', name: 'right' },
];
const shipped = computed(() =>
  playbook.fronts.map(({ id, name }) => ({ name, text: playbook.book.clauses('fronts', id) })),
);
const fronts = computed(() =>
  shipped.value.some((f) => f.text === call.value.front)
    ? shipped.value
    : [
        { name: call.value.frontName, text: call.value.front },
        ...shipped.value.filter((f) => f.name !== call.value.frontName),
      ],
);

const ORDINAL = ['', '1st', '2nd', '3rd', '4th'];
const signed = (n: number): string => (n > 0 ? `+${n}` : n < 0 ? `−${-n}` : '0');

async function set(change: Partial<Call>): Promise<void> {
  const next = { ...film.snap!.call, ...change };
  const affected = await film.changeCall(next, false);
  pending.value = affected.length ? { call: next, affected } : null;
}

async function confirm(): Promise<void> {
  const { call: next } = pending.value!;
  pending.value = null;
  await film.changeCall(next, true);
}
</script>

<template>
  <header>
    <div class="words" role="group" aria-label="Snap">
      <span>Snap {{ film.snap!.number }}:</span>
      <template v-if="film.readOnly"
        ><b>{{ schemeName(call.scheme).toLowerCase() }} {{ call.side }}</b> against
        <b>{{ call.frontName.toLowerCase() }}</b></template
      >
      <template v-else>
        <Select
          class="word"
          :model-value="call.scheme"
          :options="playbook.plays"
          option-label="name"
          option-value="id"
          option-group-label="family"
          option-group-children="items"
          aria-label="Play"
          filter
          @hide="releaseFocus"
          @update:model-value="set({ scheme: $event as string, tags: [] })"
        />
        <Select
          class="word"
          :model-value="call.side"
          :options="sides"
          option-label="name"
          option-value="id"
          aria-label="Side"
          @hide="releaseFocus"
          @update:model-value="set({ side: $event as Side })"
        />
        <span>against</span>
        <Select
          class="word"
          :model-value="call.front"
          :options="fronts"
          option-label="name"
          option-value="text"
          aria-label="Front"
          filter
          @hide="releaseFocus"
          @update:model-value="set({ front: $event as string, frontName: fronts.find((f) => f.text === $event)!.name })"
        />
      </template>
      <span class="soft"
        >{{ ORDINAL[situation.down] }} and {{ situation.distance }},
        {{ situation.hash === 'middle' ? 'middle' : `${situation.hash} hash` }}, gained
        {{ signed(situation.gain) }}</span
      >
    </div>
    <span class="soft from narrow"
      >from {{ call.formationName }}{{ call.tags.length ? `, ${call.tags.join(', ')}` : '' }}</span
    >
    <p v-if="pending" class="ask" role="alertdialog" aria-label="Grades were given against another call">
      {{ pending.affected.join(', ') }} {{ pending.affected.length === 1 ? 'was' : 'were' }} graded against another
      assignment. The marks stay as they are; look at them again.
      <button class="plain link" type="button" @click="confirm">Change the call</button>{{ ' ' }}
      <button class="plain link" type="button" @click="pending = null">Leave it</button>
    </p>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  justify-content: space-between;
  padding: 9px 20px;
  border-bottom: 1px solid var(--rule);
  min-height: 52px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 7px;
  align-items: center;
  font-size: 16px;
}
.from {
  font-size: 13px;
}
.ask {
  flex-basis: 100%;
  color: var(--risk);
  font-weight: 600;
}
.ask button {
  margin-left: 10px;
}
</style>
