<script setup lang="ts">
import { inSentence } from '#core/vocabulary/in-sentence';
import { computed, ref } from 'vue';
import type { Side } from '#core/model/side';
import type { Call } from '#core/model/snap';
import { schemeName } from '~/features/board/scheme-names';
import { usePlaybook } from '~/features/playbook/store';
import OutcomeWords from '~/features/snap/OutcomeWords.vue';
import SituationWords from '~/features/snap/SituationWords.vue';
import { useFilm } from './store';

/** `plain`: nothing can be changed here. */
const props = defineProps<{ plain?: boolean }>();
const film = useFilm();
const readOnly = computed(() => film.readOnly || props.plain);
const pending = ref<{ call: Call; affected: string[] } | null>(null);
/** While a change is being asked about, the words show what was chosen; leaving it brings the old ones back. */
const call = computed(() => pending.value?.call ?? film.snap!.call);
const situation = computed(() => film.snap!.situation);

const playbook = usePlaybook();
const sides = [
  { id: 'left', name: 'left' },
  { id: 'right', name: 'right' },
];
const fronts = computed(() => withOwn('fronts', call.value.front, call.value.frontName));
const formations = computed(() => withOwn('formations', call.value.formation, call.value.formationName));

/** What a shelf offers, by text; what was called first, when it is none of those. */
function withOwn(shelf: 'fronts' | 'formations', text: string, name: string): { name: string; text: string }[] {
  const offered = playbook[shelf].map((e) => ({ name: e.name, text: playbook.book.clauses(shelf, e.id) }));
  return offered.some((o) => o.text === text) ? offered : [{ name, text }, ...offered.filter((o) => o.name !== name)];
}

/** The tags that were called, as they are written in the play. */
const called = computed(() => (call.value.tags.length ? `with ${call.value.tags.join(' and ')}` : ''));

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
    <div class="called" role="group" aria-label="Snap">
      <span>Snap {{ film.snap!.number }}:</span>
      <template v-if="readOnly"
        ><b>{{ inSentence(schemeName(call.scheme)) }} {{ call.side }}</b> against
        <b>{{ inSentence(call.frontName) }}</b></template
      >
      <template v-else>
        <WordSelect
          :value="call.scheme"
          :options="playbook.plays"
          label="Play"
          filter
          groups="family"
          @choose="set({ scheme: $event, tags: [] })"
        />
        <WordSelect :value="call.side" :options="sides" label="Side" @choose="set({ side: $event as Side })" />
        <span>against</span>
        <WordSelect
          :value="call.front"
          :options="fronts"
          label="Front"
          by="text"
          filter
          @choose="set({ front: $event, frontName: fronts.find((f) => f.text === $event)!.name })"
        />
        <span>from</span>
        <WordSelect
          :value="call.formation"
          :options="formations"
          label="Formation"
          by="text"
          filter
          @choose="set({ formation: $event, formationName: formations.find((f) => f.text === $event)!.name })"
        />
      </template>
      <span v-if="called" class="soft">{{ called }}</span>
    </div>
    <div class="when">
      <SituationWords :situation="situation" :read-only="readOnly" @change="film.changeSituation" />
      <OutcomeWords
        :situation="situation"
        :read-only="readOnly"
        :throws="film.snap!.resolution.passing !== null"
        @change="film.changeSituation"
      />
      <span v-if="film.snap!.logged.said" class="soft">said: {{ film.snap!.logged.said }}</span>
      <span v-if="film.snap!.logged.notCounted" class="soft">not counted: {{ film.snap!.logged.notCounted }}</span>
      <NuxtLink v-if="!readOnly" :to="`/film/log/${film.snap!.gameId}?snap=${film.snap!.number}`">more</NuxtLink>
    </div>

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
  /* Painted once, and not anew with every mark. */
  isolation: isolate;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  justify-content: space-between;
  padding: 9px 20px;
  border-bottom: 1px solid var(--rule);
  min-height: 52px;
}
.called {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 7px;
  align-items: center;
  font-size: 16px;
}
.when {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  font-size: 13.5px;
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
