<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoster } from '~/features/roster/store';
import { sayPlays, sayWears } from './on-field';
import { useLog } from './store';

/** Who was on the field from one snap to another, with who came in when; anybody can be changed from any of these snaps on. */
const props = defineProps<{ from: number; to: number }>();
const log = useLog();
const roster = useRoster();

const men = computed(() =>
  [...log.fieldAt(props.from)].map(([seat, man]) => ({ seat, says: `${man.number} ${man.name}` })),
);
/** Changes within these snaps. */
const changes = computed(() => {
  const { seats, jerseys } = log.lineup.lineup;
  const within = ({ from }: { from: number }): boolean => from > props.from && from <= props.to;
  return [
    ...seats.filter(within).map((c) => ({ from: c.from, says: sayPlays(c, log.nameOf) })),
    ...jerseys.filter(within).map((c) => ({ from: c.from, says: sayWears(c, log.nameOf) })),
  ].sort((a, b) => a.from - b.from);
});
const doubts = computed(() => [...new Set([props.from, props.to].flatMap(log.doubtsAt))]);

const open = ref(false);
const snap = ref(props.from);
const seat = ref('LT');
const player = ref<number | null>(null);
const jersey = ref<number | null>(null);
const seats = computed(() => log.seatsAt(snap.value));
function begin(): void {
  open.value = !open.value;
  snap.value = props.from;
}
async function comeIn(): Promise<void> {
  if (await log.comeIn(snap.value, seat.value, player.value)) open.value = log.asked !== null;
}
async function wear(): Promise<void> {
  if (player.value === null || jersey.value === null) return;
  if (await log.wear(snap.value, player.value, jersey.value)) open.value = false;
}
</script>

<template>
  <p class="there soft">
    <span v-for="m in men" :key="m.seat" class="man"
      ><b>{{ m.seat }}</b> {{ m.says }}</span
    >
    <span v-for="c in changes" :key="c.says" class="came">{{ c.says }}</span>
    <button class="plain link" type="button" :aria-expanded="open" @click="begin">somebody else</button>
  </p>
  <p v-for="d in doubts" :key="d" class="doubt" role="status">{{ d }}</p>
  <form v-if="open" class="change" @submit.prevent="comeIn">
    <label>from snap <input v-model.number="snap" type="number" :min="from" :max="to" /></label>
    <select v-model="player" aria-label="Player">
      <option :value="null">nobody</option>
      <option v-for="p in roster.players" :key="p.id" :value="p.id">{{ p.number }} {{ p.name }}</option>
    </select>
    <label
      >plays
      <select v-model="seat" aria-label="Place">
        <option v-for="s in seats" :key="s">{{ s }}</option>
      </select></label
    >
    <button class="plain link" type="submit">He plays there</button>
    <label>or wears <input v-model.number="jersey" type="number" min="0" max="99" aria-label="Jersey number" /></label>
    <button class="plain link" type="button" :disabled="player === null || jersey === null" @click="wear">
      He wears that
    </button>
    <button class="plain link" type="button" @click="open = false">Leave it</button>
  </form>
</template>

<style scoped>
.there {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font-size: 12.5px;
  font-variation-settings: var(--narrow);
}
.man b {
  font-weight: 650;
}
.came {
  color: var(--violet);
}
.doubt {
  flex-basis: 100%;
  color: var(--risk);
  font-weight: 600;
}
.change {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  font-size: 13px;
}
.change input {
  width: 52px;
}
</style>
