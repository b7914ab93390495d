<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { sayKappa, type TwoMarks } from '#core/grade/agreement/agreement';
import { sayBeside, sayMarks } from '#core/grade/say-grade';
import type { Grade } from '#core/model/grade';
import { SnapViewSchema } from '#core/model/snap-view';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { useMarks } from '~/features/marks/store';
import TwoVersions from '~/features/pad/TwoVersions.vue';
import { usePlaybook } from '~/features/playbook/store';
import { request } from '~/features/session/request';
import { useGrading } from './store';

/** Two graders on one game: how well they agree on each item, and every mark on which they do not, to be settled. */
const grading = useGrading();
const box = useMarks();
const playbook = usePlaybook();
const route = useRoute();
const game = computed(() => grading.games.find((g) => g.id === Number(route.query.game)) ?? null);
const other = computed(
  () => game.value?.sheets.find((s) => s.userId === Number(route.query.user))?.name ?? 'The other',
);
onMounted(async () => {
  await grading.load();
  await grading.compare(Number(route.query.game), Number(route.query.user));
});

const reel = computed(
  () =>
    `/film/${grading.apart[0]?.snapId}?reel=${encodeURIComponent(`apart=${String(route.query.game)}-${String(route.query.user)}`)}`,
);
const say = (grade: Grade): string =>
  [sayMarks(grade), sayBeside(grade, playbook.program.faults)].filter(Boolean).join('; ');
const number = (value: number | null): string => (value === null ? '–' : value.toFixed(2));

/** The other's mark becomes the program's; what stood there stays in the record. */
async function settle(mark: TwoMarks): Promise<void> {
  const snap = SnapViewSchema.parse(await request(`/api/snaps/${mark.snapId}`));
  const base = snap.grades.find((g) => g.blocker === mark.blocker)?.revision ?? 0;
  await box.give(snap, 'program', [{ blocker: mark.blocker, grade: mark.other, base }]);
  // One that met another's is not settled: both versions are shown.
  if (!box.aside.some((w) => w.snapId === mark.snapId && w.entry.blocker === mark.blocker)) grading.settled(mark);
}
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>{{ other }} beside the grades{{ game ? `, week ${game.week}, ${game.opponent}` : '' }}</h1>
      <p class="soft">
        Kappa is what is left of agreement once chance is taken off: on a scale, near misses weigh less. Both readings
        stay as they were given. <NuxtLink to="/book/grading">How we grade</NuxtLink>
      </p>
    </header>
    <p v-if="grading.problem" class="page-problem" role="alert">{{ grading.problem }}</p>
    <div class="parts">
      <p v-if="!grading.two.length && !grading.problem" class="soft">Nothing was marked by both.</p>
      <table v-else aria-label="Agreement">
        <thead>
          <tr>
            <th scope="col">Item</th>
            <th scope="col">Both marked</th>
            <th scope="col">Alike</th>
            <th scope="col">Kappa</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="a in grading.agreement" :key="a.item.id">
            <th scope="row">{{ a.item.name }}</th>
            <td>{{ a.pairs }}</td>
            <td>
              {{ Math.round(100 * (a.share ?? 0)) }} % <span class="soft">{{ a.same }} of {{ a.pairs }}</span>
            </td>
            <td>
              {{ number(a.kappa) }}{{ a.item.scale ? ', weighted' : '' }}
              <span class="soft">{{ sayKappa(a.kappa) }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <TwoVersions v-if="box.aside.length" />
      <h2>{{ grading.apart.length }} of {{ grading.two.length }} to settle</h2>
      <p v-if="grading.apart.length">
        <NuxtLink :to="reel">Watch them one after the other</NuxtLink>
      </p>
      <ul>
        <li v-for="m in grading.apart" :key="`${m.snapId} ${m.blocker}`">
          <NuxtLink :to="`/film/${m.snapId}`"
            ><b>Snap {{ m.number }}</b></NuxtLink
          >
          {{ m.man }} at {{ m.blocker }},
          {{ (BLOCKS[m.block as BlockId]?.name ?? m.block).toLowerCase() }}
          <dl>
            <dt>The grade</dt>
            <dd><GradeMark :grade="m.one" /> {{ say(m.one) }}</dd>
            <dt>{{ other }}</dt>
            <dd>
              <GradeMark :grade="m.other" /> {{ say(m.other) }}
              <button class="plain link" type="button" @click="settle(m)">this one stands</button>
            </dd>
          </dl>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.parts {
  padding: 14px 20px 40px;
  display: grid;
  gap: 14px;
  max-width: 900px;
}
table {
  border-collapse: collapse;
  border-top: 2px solid var(--ink);
}
th,
td {
  text-align: left;
  padding: 5px 14px 4px 0;
  border-bottom: 1px solid var(--rule);
}
thead th {
  font-size: 12px;
  color: var(--soft);
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
dl {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 2px 12px;
  padding-top: 4px;
}
dt {
  color: var(--soft);
}
dd button {
  margin-left: 12px;
}
</style>
