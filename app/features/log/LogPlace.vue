<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, onMounted, ref, watch } from 'vue';
import { sayGame } from '#core/model/game';
import { download } from '~/features/playbook/files';
import EntrySentence from './EntrySentence.vue';
import ImportLog from './ImportLog.vue';
import SeriesList from './SeriesList.vue';
import { useLog } from './store';
import { csvOf } from './tables';

const log = useLog();
const route = useRoute();
const importing = ref(false);
/** What there is has been asked for. */
const opened = ref(false);
const entry = ref<InstanceType<typeof EntrySentence> | null>(null);

const idOf = (param: unknown): number | null => (/^\d+$/.test(String(param ?? '')) ? Number(param) : null);
async function open(): Promise<void> {
  await log.open(idOf(route.params.id));
  opened.value = true;
  const asked = Number(route.query.snap);
  if (asked) log.edit(asked);
  await entry.value?.focus();
}
onMounted(open);
watch(
  () => route.params.id,
  (id) => idOf(id) !== null && idOf(id) !== log.game && void open(),
);
const game = computed(() => log.games.find((g) => g.id === log.game) ?? null);
const summary = computed(() => {
  const out = log.log.filter((s) => s.logged.notCounted).length;
  const snaps = howMany(log.log.length, 'snap');
  return `${snaps} in ${log.series.length} series${out ? `, ${out} not counted` : ''}`;
});
function edit(number: number): void {
  log.edit(number);
  void entry.value?.focus();
}
const save = (): void => download(`log week ${game.value!.week} ${game.value!.opponent}.csv`, csvOf(log.log));
</script>

<template>
  <div class="place">
    <header>
      <h1>Log</h1>
      <label
        >of
        <select
          :value="log.game ?? ''"
          aria-label="Game"
          @change="navigateTo(`/film/log/${($event.target as HTMLSelectElement).value}`)"
        >
          <option v-for="g in log.games" :key="g.id" :value="g.id">{{ sayGame(g) }}</option>
        </select></label
      >
      <span class="soft">{{ summary }}</span>
      <span class="ways">
        <NuxtLink to="/film/in">Bring film in</NuxtLink>
        <button class="plain link" type="button" :aria-expanded="importing" @click="importing = !importing">
          From a table
        </button>
        <button v-if="log.log.length" class="plain link" type="button" @click="save">As a table (CSV)</button>
      </span>
    </header>
    <p v-if="log.problem" class="problem" role="alert">{{ log.problem }}</p>
    <ImportLog v-if="importing" @done="importing = false" />
    <EntrySentence v-if="log.draft" ref="entry" />
    <p v-if="log.asked" class="ask" role="alertdialog" aria-label="Before that">
      {{ log.asked.says }}
      <button class="plain link" type="button" @click="log.asked!.yes()">Do it</button>{{ ' ' }}
      <button class="plain link" type="button" @click="log.asked = null">Leave it</button>
    </p>
    <SeriesList @edit="edit" />
    <p v-if="game && !log.log.length" class="empty">
      No snap of {{ sayGame(game) }} is logged. Write the first one above: the next begins with what followed from it.
    </p>
    <p v-if="opened && !game && !log.problem" class="empty">
      There is no game yet. <NuxtLink to="/film/in">Add one where film comes in</NuxtLink>, with film or without.
    </p>
  </div>
</template>

<style scoped>
.place {
  padding: 0 20px 24px;
  max-width: 1240px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: baseline;
  padding: 12px 0;
}
.ways {
  margin-left: auto;
  display: flex;
  gap: 16px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
  padding: 6px 0;
}
.ask {
  color: var(--risk);
  font-weight: 600;
  padding: 8px 18px;
}
.empty {
  padding: 30px 0;
  max-width: 460px;
}
.place > section {
  margin-top: 8px;
}
</style>
