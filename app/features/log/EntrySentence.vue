<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { movementSeen, movementsToSee, withMovement } from '#core/film/log/movement-seen';
import { nameOfCall } from '#core/names/names';
import { sayPersonnel } from '#core/reports/personnel';
import { readFormation } from '#core/language/lineups/read-formation';
import { inField } from '~/features/hands/in-field';
import { usePlaybook } from '~/features/playbook/store';
import OutcomeWords from '~/features/snap/OutcomeWords.vue';
import SituationWords from '~/features/snap/SituationWords.vue';
import { knownOf } from './book-of-calls';
import { useLog } from './store';

const log = useLog();
const playbook = usePlaybook();
const call = computed(() => log.draft!.call);
const known = computed(() => knownOf(playbook));

/** What a shelf offers; what is called already, when it is none of those, comes first. */
const withOwn = (all: readonly { name: string; text: string }[], text: string, name: string) =>
  all.some((one) => one.text === text) ? all : [{ name, text }, ...all];
const formations = computed(() => withOwn(known.value.formations, call.value.formation, call.value.formationName));
const fronts = computed(() => withOwn(known.value.fronts, call.value.front, call.value.frontName));
const movements = computed(() => movementsToSee(call.value));
const tags = computed(() => {
  const scheme = playbook.book.scheme(call.value.scheme);
  return scheme.ok
    ? scheme.value.tags.map((t) => ({ name: t.name, says: t.name, active: call.value.tags.includes(t.name) }))
    : [];
});
function toggle(tag: string): void {
  const on = call.value.tags.includes(tag);
  log.putCall({ tags: on ? call.value.tags.filter((t) => t !== tag) : [...call.value.tags, tag] });
}
const throws = computed(() => {
  const scheme = playbook.book.scheme(call.value.scheme);
  return scheme.ok && scheme.value.head.throw !== null;
});
/** Who the formation says is on the field, where nobody has written it. */
const personnel = computed(() => {
  const formation = readFormation(call.value.formation);
  return formation.ok ? sayPersonnel(formation.value) : '';
});

/** What else is written down, as it stands in the sentence. */
const noted = computed(() => [
  { key: 'said' as const, before: 'said', name: 'said', empty: 'the words at the line', most: 200 },
  { key: 'personnel' as const, before: 'with', name: 'Personnel', empty: personnel.value, most: 60 },
  { key: 'notCounted' as const, before: 'not counted because', name: 'Not counted', empty: 'it counts', most: 80 },
]);

/** The call as it is said; typing one sets play, side, tags and formation at once. */
const said = computed(() => {
  const { scheme, side } = call.value;
  const name = nameOfCall(playbook.naming, { scheme, side, formation: null, motion: null, tags: call.value.tags });
  return name.ok ? name.value : '';
});
const typed = ref('');
const callProblem = ref('');
watch(said, (now) => (typed.value = now), { immediate: true });
function sayCall(): boolean {
  if (typed.value.trim() === said.value) return true;
  callProblem.value = log.sayCall(typed.value.trim());
  if (!callProblem.value) typed.value = said.value;
  return callProblem.value === '';
}

const first = ref<HTMLInputElement | null>(null);
async function focus(): Promise<void> {
  await nextTick();
  first.value?.focus();
  first.value?.select();
}
defineExpose({ focus });
/** Something is being typed: what takes back then takes back letters. */
const touched = ref(false);
function putAway(): void {
  callProblem.value = '';
  touched.value = false;
}
async function keep(): Promise<void> {
  if (!sayCall()) return;
  callProblem.value = '';
  if (!(await log.save())) return;
  putAway();
  await focus();
}
function leave(): void {
  putAway();
  log.fresh();
  void focus();
}
async function takeBack(): Promise<void> {
  putAway();
  await log.takeBack();
  await focus();
}
watch(
  () => log.draft?.number,
  () => (touched.value = false),
);
const form = ref<HTMLFormElement | null>(null);
/** Letters are being typed somewhere: in the sentence, or in another field of the page. */
const isTyping = (at: EventTarget | null): boolean => (form.value?.contains(at as Node) ? touched.value : inField(at));
useEventListener('keydown', (event) => {
  if (!(event.ctrlKey || event.metaKey) || event.key !== 'z' || isTyping(event.target) || !log.lastStep) return;
  event.preventDefault();
  void takeBack();
});
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
const nameOf = (all: readonly { name: string; text: string }[], text: string): string =>
  all.find((one) => one.text === text)!.name;
</script>

<template>
  <form
    v-if="log.draft"
    ref="form"
    class="entry"
    :aria-label="log.isNew ? `Snap ${log.draft.number}, new` : `Snap ${log.draft.number}`"
    @submit.prevent="keep"
    @input="touched = true"
    @keydown.esc="leave"
    @keydown.enter="($event.target as HTMLElement).tagName === 'SELECT' && keep()"
  >
    <div class="line">
      <b class="number">Snap {{ log.draft.number }}</b>
      <SituationWords :situation="log.draft.situation" :read-only="false" @change="log.putSituation" />
    </div>
    <div class="line words call" role="group" aria-label="Call">
      <input
        ref="first"
        v-model="typed"
        class="said"
        aria-label="The call as you say it"
        placeholder="the call as you say it"
        :aria-invalid="callProblem !== ''"
        @change="sayCall"
      />
      <select :value="call.scheme" aria-label="Play" @change="log.putCall({ scheme: chosen($event) })">
        <optgroup v-for="g in playbook.plays" :key="g.family" :label="g.family">
          <option v-for="p in g.items" :key="p.id" :value="p.id">{{ p.name }}</option>
        </optgroup>
      </select>
      <select :value="call.side" aria-label="Side" @change="log.putCall({ side: chosen($event) as 'left' | 'right' })">
        <option>left</option>
        <option>right</option>
      </select>
      <TagToggles v-if="tags.length" :tags="tags" @toggle="toggle" />
      from
      <select
        :value="call.formation"
        aria-label="Formation"
        @change="log.putCall({ formation: chosen($event), formationName: nameOf(formations, chosen($event)) })"
      >
        <option v-for="f in formations" :key="f.text" :value="f.text">{{ f.name }}</option>
      </select>
      against
      <select
        :value="call.front"
        aria-label="Front"
        @change="log.putCall({ front: chosen($event), frontName: nameOf(fronts, chosen($event)) })"
      >
        <option v-for="f in fronts" :key="f.text" :value="f.text">{{ f.name }}</option>
      </select>
      which
      <select
        :value="movementSeen(call)"
        aria-label="Movement seen"
        @change="log.putCall(withMovement(call, chosen($event)))"
      >
        <optgroup v-for="g in movements" :key="g.name" :label="g.name">
          <option v-for="m in g.items" :key="m.id" :value="m.id">{{ m.name }}</option>
        </optgroup>
      </select>
      <span v-if="callProblem" class="problem" role="alert">{{ callProblem }}</span>
    </div>
    <div class="line">
      <OutcomeWords :situation="log.draft.situation" :read-only="false" :throws="throws" @change="log.putSituation" />
      <label v-for="f in noted" :key="f.key" class="words"
        >{{ f.before }}
        <input
          v-typed
          class="long"
          :value="log.draft.logged[f.key]"
          :maxlength="f.most"
          :placeholder="f.empty"
          :aria-label="f.name"
          @change="log.putLogged({ [f.key]: ($event.target as HTMLInputElement).value.trim() })"
      /></label>
    </div>
    <div class="line acts">
      <button class="strong" type="submit">
        {{ log.isNew ? `Log snap ${log.draft.number}` : `Keep snap ${log.draft.number}` }}
      </button>
      <span class="soft"><kbd>Enter</kbd> the same, from anywhere in the sentence</span>
      <button v-if="!log.isNew" class="plain link" type="button" @click="leave">Leave it</button>
      <button v-if="!log.isNew" class="plain link" type="button" @click="log.remove(log.draft!.number)">
        Take it out of the log
      </button>
      <button v-if="log.lastStep" class="plain back" type="button" @click="takeBack">
        <kbd>ctrl z</kbd> take back: {{ log.lastStep.says }}
      </button>
    </div>
  </form>
</template>

<style scoped src="../snap/words.css"></style>
<style scoped>
.entry {
  display: grid;
  gap: 8px;
  padding: 12px 18px;
  border-left: 4px solid var(--violet);
  background: var(--wash);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: baseline;
}
.number {
  min-width: 58px;
}
select {
  max-width: 230px;
}
.call {
  font-size: 15px;
}
.said {
  width: 190px;
  font-weight: 650;
}
.long {
  width: 156px;
}
.acts {
  align-items: center;
}
.back {
  margin-left: auto;
}
</style>
