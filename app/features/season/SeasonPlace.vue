<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { onMounted, ref, watch } from 'vue';
import { useSession } from '~/features/session/store';
import TeamHead from '~/features/team/TeamHead.vue';
import { useSeason } from './store';

/** Week by week whom we play, and the season as a whole. */
const season = useSeason();
const session = useSession();
const [opponent, playedOn, next] = [ref(''), ref(''), ref('')];
const week = ref(1);
onMounted(() => void season.load());
watch(
  () => season.nextWeek,
  (value) => {
    week.value = value;
  },
  { immediate: true },
);
async function add(): Promise<void> {
  const game = { opponent: opponent.value.trim(), week: week.value, playedOn: playedOn.value || null };
  // The fields are the next one's at once, and this one's again when it could not be kept.
  [opponent.value, playedOn.value] = ['', ''];
  if (!(await season.add(game))) [opponent.value, playedOn.value] = [game.opponent, game.playedOn ?? ''];
}
async function begin(): Promise<void> {
  if (await season.begin(next.value.trim())) next.value = '';
}
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="place">
    <TeamHead
      :title="season.season ? `Season ${season.season.name}` : 'The season'"
      says="Opponents, week by week. A game with snaps or film stays in the schedule."
    />
    <p v-if="season.problem" class="page-problem" role="alert">{{ season.problem }}</p>
    <p v-if="season.notice" class="page-notice" role="status">{{ season.notice }}</p>
    <div class="page-parts">
      <section aria-label="Schedule">
        <fieldset class="page-scroller" :disabled="!session.staff">
          <legend class="visually-hidden">Schedule</legend>
          <table class="page-table" aria-label="Schedule">
            <thead>
              <tr>
                <th scope="col">Week</th>
                <th scope="col">Opponent</th>
                <th scope="col">Day</th>
                <th scope="col">What there is</th>
                <th scope="col"><span class="visually-hidden">What can be done</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="g in season.schedule.games" :key="g.id">
                <td>
                  <CellField
                    narrow
                    type="number"
                    :value="g.week"
                    :label="`Week of ${g.opponent}`"
                    @write="season.change(g, { week: Number($event) })"
                  />
                </td>
                <td>
                  <CellField
                    :value="g.opponent"
                    :label="`Opponent of week ${g.week}`"
                    @write="season.change(g, { opponent: $event })"
                  />
                </td>
                <td>
                  <CellField
                    type="date"
                    :value="g.playedOn ?? ''"
                    :label="`Day of week ${g.week}`"
                    @write="season.change(g, { playedOn: $event || null })"
                  />
                </td>
                <td class="soft">{{ howMany(g.snaps, 'snap') }}, {{ howMany(g.films, 'film') }}</td>
                <td>
                  <button v-if="g.snaps + g.films === 0" class="plain link" type="button" @click="season.remove(g)">
                    take out
                  </button>
                  <NuxtLink v-else :to="`/book?by=man&game=${g.id}`">grades</NuxtLink>
                </td>
              </tr>
              <tr>
                <td>
                  <input
                    v-model.number="week"
                    class="field week"
                    type="number"
                    min="0"
                    max="60"
                    aria-label="New: week"
                  />
                </td>
                <td>
                  <input
                    v-model="opponent"
                    class="field"
                    maxlength="80"
                    placeholder="whom we play"
                    aria-label="New: opponent"
                    @keydown.enter="add"
                  />
                </td>
                <td><input v-model="playedOn" class="field" type="date" aria-label="New: day" /></td>
                <td>
                  <button class="plain link" type="button" :disabled="!opponent.trim()" @click="add">add</button>
                </td>
                <td />
              </tr>
            </tbody>
          </table>
        </fieldset>
      </section>
      <section v-if="session.coach && season.season" aria-label="The season as a whole">
        <label
          >It is called
          <input
            v-typed
            class="field"
            :value="season.season.name"
            maxlength="40"
            @change="season.rename(valueOf($event))"
        /></label>
        <h2>Roll over to the next</h2>
        <p class="soft">
          The playbook, the roster and the way of grading go on. Games and grades of {{ season.season.name }} are kept
          and stay in the Book.
        </p>
        <form @submit.prevent="begin">
          <input v-model="next" class="field" maxlength="40" placeholder="2027" aria-label="Name of the next season" />
          <button class="plain link" type="submit" :disabled="!next.trim()">Begin it</button>
        </form>
        <template v-if="season.schedule.seasons.length > 1">
          <h2>Before</h2>
          <ul>
            <li v-for="s in season.schedule.seasons.slice(1)" :key="s.id">
              <NuxtLink :to="`/book?by=game&season=${s.id}`">{{ s.name }}</NuxtLink>{{ ' ' }}
              <span class="soft">{{ howMany(s.games, 'game') }}</span>
            </li>
          </ul>
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: minmax(0, 1fr) 280px;
}
section,
form {
  display: grid;
  gap: 8px;
  justify-items: start;
}
label {
  font-size: 13px;
  font-weight: 600;
}
.week {
  width: 62px;
}
</style>
