<script setup lang="ts">
import { sayStandard, type Standard } from '#core/model/standard';
import { computed } from 'vue';
import { PLAY_COUNTS, type PlayCount, type PlayLine, type PlayPage } from '#core/grade/book/play-result';
import { DIMENSIONS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { rateOf } from '#core/statistics/rate';
import { inOrder, narrowedBy, sayKey } from './words';

/** What plays came to beside how they were blocked: a good line whose plays failed and the reverse stand next to each other. */
const props = defineProps<{ page: PlayPage; standard: Standard; filter: BookFilter }>();
const emit = defineEmits<{ open: [line: PlayLine, title: string, count: PlayCount] }>();
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
const each = (yards: number, snaps: number): string => (snaps ? (yards / snaps).toFixed(1).replace('-', '−') : '–');

/** The figures of a line, each of so many; one that has a share says it first. */
const FIGURES: readonly { count: PlayCount; of: PlayCount; shared?: true }[] = [
  { count: 'successes', of: 'snaps', shared: true },
  { count: 'stuffed', of: 'runs' },
  { count: 'explosive', of: 'snaps' },
  { count: 'pressured', of: 'throws' },
  { count: 'blocked', of: 'graded', shared: true },
  { count: 'blockedFailed', of: 'graded' },
  { count: 'missedWorked', of: 'graded' },
];
const opens = (line: PlayLine, count: PlayCount): void => emit('open', line, said(line), count);
</script>

<template>
  <section>
    <h2>What the plays came to</h2>
    <p class="soft">
      {{ sayStandard(standard) }} Whether the line blocked it is known once its five are graded.
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
            <th scope="col" :title="PLAY_COUNTS.touched.says">{{ PLAY_COUNTS.touched.name }}</th>
            <th v-for="f in FIGURES" :key="f.count" scope="col" :title="PLAY_COUNTS[f.count].says">
              {{ PLAY_COUNTS[f.count].name }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in lines" :key="l.key">
            <th scope="row">{{ said(l) }}</th>
            <td>
              <button class="plain" type="button" @click="opens(l, 'snaps')">{{ l.counts.snaps }}</button>
            </td>
            <td>{{ each(l.yards, l.counts.snaps) }}</td>
            <td>
              <template v-if="l.counts.touched === 0">–</template>
              <button v-else class="plain" type="button" @click="opens(l, 'touched')">
                <span class="share">{{ each(l.beforeContact, l.counts.touched) }}</span>
                <span class="soft"> {{ l.counts.touched }} of {{ l.counts.runs }}</span>
              </button>
            </td>
            <td v-for="f in FIGURES" :key="f.count">
              <template v-if="l.counts[f.of] === 0">–</template>
              <span v-else-if="l.counts[f.count] === 0" class="soft">0 of {{ l.counts[f.of] }}</span>
              <button v-else class="plain" type="button" @click="opens(l, f.count)">
                <span v-if="f.shared" class="share">{{ share(l.counts[f.count], l.counts[f.of]) }}</span>
                <span class="soft"> {{ l.counts[f.count] }} of {{ l.counts[f.of] }}</span>
              </button>
            </td>
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
td .share {
  margin-right: 0.35em;
}
td button:hover,
td button:hover .soft {
  color: var(--violet);
  text-decoration: underline;
}
</style>
