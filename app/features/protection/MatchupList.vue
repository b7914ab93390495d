<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PressureProof } from '#core/model/pressure';
import { RATINGS, type Rating, type Ratings } from '#core/model/ratings';
import { matchupsOf, NEEDS_HELP, sayMatch } from '#core/protect/matchups';
import { attempting } from '~/features/session/attempt';
import { useSession } from '~/features/session/store';
import { useRatings } from './ratings';

const props = defineProps<{ proof: PressureProof }>();
const session = useSession();
const { ratings, rate } = useRatings();
const problem = ref('');
const attempt = attempting(problem);
const shown = computed(() => matchupsOf(props.proof, ratings()));
const set = (team: keyof Ratings, id: string, value: string): Promise<boolean> =>
  attempt(() => rate(team, id, value === '' ? null : (Number(value) as Rating)));
</script>

<template>
  <table aria-label="Matchups">
    <thead>
      <tr>
        <th scope="col">Ours</th>
        <th scope="col">Theirs</th>
        <th scope="col">So</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="m in shown" :key="`${m.blocker} ${m.on}`">
        <td>
          <label
            ><b>{{ m.blocker }}</b>
            <select
              :disabled="!session.coach"
              :value="m.ours ?? ''"
              :aria-label="`How good ${m.blocker} is`"
              @change="set('ours', m.blocker, ($event.target as HTMLSelectElement).value)"
            >
              <option value="">·</option>
              <option v-for="n in RATINGS" :key="n">{{ n }}</option>
            </select></label
          >
        </td>
        <td>
          <label
            ><b>{{ m.on }}</b>
            <select
              :disabled="!session.coach"
              :value="m.theirs ?? ''"
              :aria-label="`How good ${m.on} is`"
              @change="set('theirs', m.on, ($event.target as HTMLSelectElement).value)"
            >
              <option value="">·</option>
              <option v-for="n in RATINGS" :key="n">{{ n }}</option>
            </select></label
          >
        </td>
        <td :class="{ bad: (m.behind ?? 0) >= NEEDS_HELP }">{{ sayMatch(m.behind) }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 2px 8px 2px 0;
  font-weight: 400;
  border-bottom: 1px solid var(--rule);
}
thead th {
  color: var(--soft);
  font-size: 12px;
}
label {
  display: inline-grid;
  grid-template-columns: 26px auto;
  align-items: center;
}
select {
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
}
.bad {
  color: var(--broken);
  font-weight: 600;
}
</style>
