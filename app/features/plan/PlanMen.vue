<script setup lang="ts">
import { computed } from 'vue';
import { blockWord, sayNumber } from '#core/plan/say-number';
import type { Standing } from '#core/plan/standing';
import { upperFirst } from '~/features/board/words';
import { sayPlayOf } from './say-play';
import { usePlan } from './store';

/** Under every man of the line what the week asks of him, the dearest first, as a length that is the risk in it. */
const plan = usePlan();
const most = computed(() => Math.max(0, ...plan.standings.map((s) => s.weight)));
const nameOf = (play: number): string => sayPlayOf(plan.plan.plays[play]!);
const length = (s: Standing): string => `${Math.max(2, Math.round((100 * s.weight) / most.value))}%`;
const says = (s: Standing): string =>
  `${s.times < 0.75 ? '<1' : Math.round(s.times)}× · ${s.record.of === 0 ? 'no grade' : `${s.record.good}/${s.record.of}`}`;
const inFull = (s: Standing): string =>
  `${sayNumber(s, nameOf)} Expected right: ${Math.round(100 * s.expected)} %. From ${s.from.map((f) => nameOf(f.play)).join(', ')}.`;
const bookOf = (s: Standing) => ({ path: '/book', query: { by: 'phase', man: String(s.playerId), block: s.block } });
</script>

<template>
  <section aria-label="What the week asks of every man">
    <header>
      <h2>What it asks of every man</h2>
      <p class="soft">
        Times asked, and how he did at it this season. The bar is what there is to lose: times, how likely it is lost,
        and the yards a lost one costs when the play is run in time. Speeds are assumptions.
      </p>
    </header>
    <div class="line" tabindex="0" role="region" aria-label="Men in line order">
      <article v-for="m in plan.men" :key="m.seat">
        <h3>
          <b>{{ m.seat }}</b> {{ m.player ? `${m.player.number} ${m.player.name}` : '' }}
        </h3>
        <p v-if="m.number" class="number">{{ sayNumber(m.number, nameOf) }}</p>
        <p v-else class="number soft">
          Nobody of the roster plays here. <NuxtLink to="/team/roster">Say who does</NuxtLink>
        </p>
        <ul>
          <li v-for="s in m.asked" :key="s.block" :title="inFull(s)">
            <NuxtLink :to="bookOf(s)">{{ upperFirst(blockWord(s.block)) }}</NuxtLink>
            <span class="count">{{ says(s) }}</span>
            <i :style="{ width: length(s) }" />
          </li>
          <li v-for="d in m.unmanned" :key="d.block">
            {{ upperFirst(blockWord(d.block)) }} <span class="count">{{ Math.max(1, Math.round(d.times)) }}×</span>
          </li>
        </ul>
      </article>
    </div>
  </section>
</template>

<style scoped>
section {
  padding: 12px 20px 40px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
}
header p {
  font-size: 12.5px;
}
.line {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(128px, 1fr);
  overflow-x: auto;
  margin-top: 10px;
  border-top: 2px solid var(--ink);
}
article {
  padding: 8px 10px 8px 0;
  border-right: 1px solid var(--rule);
  margin-right: 10px;
  font-variation-settings: var(--narrow);
}
article:last-child {
  border-right: 0;
}
h3 {
  font-size: 13px;
  font-weight: 600;
  margin: 0;
}
h3 b {
  font-weight: 800;
}
.number {
  font-size: 13px;
  line-height: 1.3;
  padding: 4px 0 8px;
  min-height: 92px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 6px;
  font-size: 12.5px;
  padding: 3px 0 5px;
}
li a {
  color: var(--ink);
  text-decoration: none;
}
li a:hover {
  color: var(--violet);
  text-decoration: underline;
}
.count {
  color: var(--soft);
  white-space: nowrap;
}
i {
  grid-column: 1 / -1;
  height: 4px;
  background: var(--broken);
  opacity: 0.75;
}
</style>
