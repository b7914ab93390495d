<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import * as z from 'zod';
import { faultName } from '#core/model/faults';
import { PracticeWeekSchema } from '#core/model/practice';
import { FaultCountSchema, followFaults, whatDrillsDid, type Followed } from '#core/practice/close-week';
import type { Rate } from '#core/statistics/rate';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';
import { useRoster } from '~/features/roster/store';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeekRooms } from '~/features/week/rooms';

/** The close of the week: every fault from the game over the drills after it to the next grade, and what drills did, in counts. */
const { to } = useWeekRooms();
const playbook = usePlaybook();
const roster = useRoster();
const problem = ref('');
const attempt = attempting(problem);
const ToClose = z.object({
  counts: z.array(FaultCountSchema),
  weeks: z.array(z.object({ week: z.int(), practice: PracticeWeekSchema })),
});
const found = shallowRef<z.infer<typeof ToClose>>({ counts: [], weeks: [] });
onMounted(() =>
  attempt(async () => {
    await roster.open();
    found.value = ToClose.parse(await request('/api/weeks/close'));
  }),
);
const drills = computed(() => playbook.book.drills());
const followed = computed(() => followFaults(found.value.counts, found.value.weeks, drills.value));
/** The newest game's faults; those before it only where a grade has followed. */
const MOST = 40;
const shown = computed(() => followed.value.slice(0, MOST));
const did = computed(() => whatDrillsDid(followed.value));
const nameOf = (id: number): string => {
  const man = roster.players.find((p) => p.id === id);
  return man ? `${man.number} ${man.name}` : 'a man erased';
};
const drillName = (id: string): string => drills.value.find((d) => d.id === id)?.name ?? id;
const without = (rate: Rate): string => `${rate.good} of ${rate.of}`;
const sayDrills = (f: Followed): string =>
  f.drills.map((d) => `${drillName(d.drill)}, ${Math.round(d.reps)} reps`).join('; ') || 'nothing planned for it';
const became = (f: Followed): string =>
  f.after === null ? 'not graded since' : f.became === 'no telling' ? 'too few to tell' : f.became;
const gameOf = (f: Followed): number | undefined =>
  found.value.counts.find((c) => c.playerId === f.playerId && c.week === f.from)?.gameId;
</script>

<template>
  <div class="place">
    <WeekHead
      title="Close of the week"
      says="Every fault that was marked more than once in a game, what was done about it, and what the next grades say. What got better after a drill may have got better without it."
    />
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <div class="page-parts">
      <section aria-label="Faults followed">
        <p v-if="followed.length === 0" class="soft">
          No fault was marked twice in a game yet. They come from grading: <NuxtLink to="/film">go on there</NuxtLink>.
        </p>
        <div v-else class="page-scroller" tabindex="0" role="region" aria-label="Faults">
          <table class="page-table">
            <thead>
              <tr>
                <th scope="col">Week</th>
                <th scope="col">Man</th>
                <th scope="col">Fault</th>
                <th scope="col">Without it</th>
                <th scope="col">Done about it</th>
                <th scope="col">Next grades</th>
                <th scope="col"><span class="visually-hidden">Became</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="f in shown" :key="`${f.playerId} ${f.fault} ${f.from}`">
                <td>{{ f.from }}</td>
                <td>{{ nameOf(f.playerId) }}</td>
                <td>
                  <NuxtLink
                    :to="{
                      path: '/book',
                      query: { by: 'block', man: String(f.playerId), fault: f.fault, game: String(gameOf(f) ?? '') },
                    }"
                    >{{ upperFirst(faultName(f.fault, playbook.program.faults)) }}</NuxtLink
                  >
                </td>
                <td>{{ without(f.before) }}</td>
                <td :class="{ soft: f.drills.length === 0 }">{{ sayDrills(f) }}</td>
                <td>{{ f.after ? `week ${f.to}: ${without(f.after)}` : '' }}</td>
                <td :class="f.became">{{ became(f) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <section aria-label="What drills did">
        <h2>What drills did</h2>
        <p v-if="did.length === 0" class="soft">
          No fault was drilled and graded again yet. Plan a week, and grade the game after it.
        </p>
        <ul>
          <li v-for="d in did" :key="d.drill">
            <NuxtLink :to="to('/week/drills', { drill: d.drill })">{{ drillName(d.drill) }}</NuxtLink>
            <span>{{ d.followed }} followed, {{ d.better }} better, {{ d.worse }} worse</span>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: minmax(0, 3fr) minmax(220px, 1fr);
}
.page-table {
  font-variation-settings: var(--narrow);
}
.page-table td {
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
.better {
  color: var(--sound);
  font-weight: 650;
}
.worse {
  color: var(--broken);
  font-weight: 650;
}
li {
  display: grid;
  gap: 0 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
</style>
