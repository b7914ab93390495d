<script setup lang="ts">
import { computed } from 'vue';
import type { PlayLine, PlayPage } from '#core/grade/book/play-result';
import { DIMENSIONS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { rateOf } from '#core/statistics/rate';
import { inOrder, narrowedBy, sayKey } from './words';

/** What plays came to beside how they were blocked: a good line whose plays failed and the reverse stand next to each other. */
const props = defineProps<{ page: PlayPage; standard: number; filter: BookFilter }>();
/** What narrows grades and not plays. */
const ofMen = computed(() => narrowedBy(props.filter).filter((d) => DIMENSIONS[d].of === 'man'));
const by = computed(() => props.page.by as Dimension);
const lines = computed(() => {
  const ordered = inOrder(by.value, props.page.lines);
  return ordered.length > 1 ? [...ordered, props.page.total] : ordered;
});
const said = (line: PlayLine): string => (line.key === 'all' ? 'All together' : sayKey(by.value, line));
const share = (good: number, of: number): string => {
  const rate = rateOf(good, of, 0);
  return rate.share === null ? '–' : `${Math.round(rate.share * 100)} %`;
};
const per = (yards: number, snaps: number): string => (snaps ? (yards / snaps).toFixed(1) : '–');
</script>

<template>
  <section>
    <h2>What the plays came to</h2>
    <p class="soft">
      A success gains {{ standard }} yards, or the line to gain when it is short. Whether the line blocked it is known
      once its five are graded.
      <template v-if="ofMen.length"
        >These are plays of the whole team: {{ ofMen.map((d) => DIMENSIONS[d].name).join(' and ') }} does not narrow
        them.</template
      >
    </p>
    <div class="scroller">
      <table aria-label="What the plays came to">
        <thead>
          <tr>
            <th scope="col">{{ by }}</th>
            <th scope="col">Snaps</th>
            <th scope="col">Yards a snap</th>
            <th scope="col">Success</th>
            <th scope="col">Runs stuffed</th>
            <th scope="col">Explosive</th>
            <th scope="col">Pressured</th>
            <th scope="col">Line blocked it</th>
            <th scope="col">blocked, and failed</th>
            <th scope="col">missed, and worked</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in lines" :key="l.key">
            <th scope="row">{{ said(l) }}</th>
            <td>{{ l.snaps }}</td>
            <td>{{ per(l.yards, l.snaps) }}</td>
            <td>
              {{ share(l.successes, l.snaps) }} <span class="soft">{{ l.successes }} of {{ l.snaps }}</span>
            </td>
            <td>{{ l.runs ? `${l.stuffed} of ${l.runs}` : '–' }}</td>
            <td>{{ l.explosive }}</td>
            <td>{{ l.throws ? `${l.pressured} of ${l.throws}` : '–' }}</td>
            <td>
              {{ share(l.blocked, l.graded) }}
              <span v-if="l.graded" class="soft">{{ l.blocked }} of {{ l.graded }}</span>
            </td>
            <td>{{ l.blockedFailed }}</td>
            <td>{{ l.missedWorked }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 4px;
}
.scroller {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  border-top: 2px solid var(--ink);
  font-size: 13px;
}
th,
td {
  text-align: left;
  padding: 5px 10px 4px 0;
  border-bottom: 1px solid var(--rule);
  white-space: nowrap;
}
thead th {
  font-size: 12px;
  font-weight: 600;
  color: var(--soft);
  white-space: normal;
  vertical-align: bottom;
}
thead th:first-child::first-letter {
  text-transform: uppercase;
}
</style>
