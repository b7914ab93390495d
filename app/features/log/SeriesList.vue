<script setup lang="ts">
import { computed } from 'vue';
import { sayFieldPlace } from '#core/film/log/field-place';
import type { SnapItem } from '#core/model/game';
import { schemeName } from '~/features/board/scheme-names';
import { DOWNS, HASHES, QUARTERS, sayOutcome } from '~/features/snap/words';
import FieldLine from './FieldLine.vue';
import { followsOn, useLog } from './store';

/** Of all series alike, so that they are read down the page. */
const WIDTHS = ['3%', '8%', '7%', '8%', '31%', '16%', '12%', '10%', '5%'];
const emit = defineEmits<{ edit: [number: number] }>();
const log = useLog();

function sayStart({ situation }: SnapItem): string {
  const place = sayFieldPlace(situation.toGoal);
  return `${QUARTERS[situation.quarter - 1]}${place ? `, from ${place}` : ''}`;
}
const sayDown = ({ situation: s }: SnapItem): string => `${DOWNS[s.down - 1]} and ${s.distance}`;
/** The first snap of a series, or one that does not follow from the one before, says all of its situation. */
const breaks = computed(() => {
  const all = log.log;
  return new Set(
    all
      .filter((s, i) => s.situation.series === all[i - 1]?.situation.series && !followsOn(all[i - 1], s))
      .map((s) => s.number),
  );
});
const sayTags = ({ call }: SnapItem): string => (call.tags.length ? `, ${call.tags.join(' and ')}` : '');
</script>

<template>
  <section v-for="s in log.series" :key="s.number" class="series" :aria-label="`Series ${s.number}`">
    <header>
      <h2>Series {{ s.number }}</h2>
      <span class="soft">{{ sayStart(s.snaps[0]!) }}</span>
      <FieldLine :from="s.snaps[0]!.number" :to="s.snaps.at(-1)!.number" />
    </header>
    <table>
      <colgroup>
        <col v-for="(w, i) in WIDTHS" :key="i" :style="{ width: w }" />
      </colgroup>
      <thead class="visually-hidden">
        <tr>
          <th v-for="h in ['Snap', 'Down', 'On', 'Hash', 'Call', 'Against', 'Came of it', 'Said', 'Film']" :key="h">
            {{ h }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="snap in s.snaps"
          :key="snap.id"
          :class="{ here: snap.number === log.draft?.number, out: snap.logged.notCounted }"
        >
          <th scope="row">
            <button
              class="plain"
              type="button"
              :aria-label="`Change snap ${snap.number}`"
              @click="emit('edit', snap.number)"
            >
              {{ snap.number }}
            </button>
          </th>
          <td :class="{ breaks: breaks.has(snap.number) }" :title="breaks.has(snap.number) ? 'set by hand' : undefined">
            {{ sayDown(snap) }}
          </td>
          <td class="soft">{{ sayFieldPlace(snap.situation.toGoal) }}</td>
          <td class="soft">{{ HASHES[snap.situation.hash] }}</td>
          <td>
            <b>{{ schemeName(snap.call.scheme) }} {{ snap.call.side }}</b
            >{{ sayTags(snap) }} <span class="soft">{{ snap.call.formationName }}</span>
          </td>
          <td>{{ snap.call.frontName }}</td>
          <td>{{ sayOutcome(snap.situation) }}</td>
          <td class="soft">
            {{ snap.logged.notCounted ? `not counted: ${snap.logged.notCounted}` : snap.logged.said }}
          </td>
          <td>
            <NuxtLink :to="`/film/${snap.id}`">{{ snap.angles.length ? 'watch' : 'grade' }}</NuxtLink>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.series {
  padding: 14px 0 2px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
  padding-bottom: 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  font-size: 13.5px;
}
td,
th {
  text-align: left;
  padding: 3px 10px 3px 0;
  border-top: 1px solid var(--rule);
  vertical-align: baseline;
}
th {
  width: 34px;
}
th button {
  color: var(--violet);
  font-weight: 650;
  text-decoration: underline;
  text-underline-offset: 3px;
  min-width: 26px;
}
.here {
  background: var(--wash);
  box-shadow: inset 3px 0 var(--violet);
}
.here th {
  padding-left: 8px;
}
.out td {
  opacity: 0.72;
}
.breaks {
  border-left: 2px dotted var(--risk);
  padding-left: 6px;
}
</style>
