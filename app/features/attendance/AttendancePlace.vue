<script setup lang="ts">
import { onMounted } from 'vue';
import { HERE, HERE_IDS } from '#core/roster/attendance';
import { useRoster } from '~/features/roster/store';
import TeamHead from '~/features/team/TeamHead.vue';
import { useAttendance } from './store';

/** Who is here today: one tap a man, one for all the others. */
const attendance = useAttendance();
const roster = useRoster();
onMounted(() => Promise.all([roster.open(), attendance.open(attendance.day)]));
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="place">
    <TeamHead
      title="Who is here"
      says="For coaches only. Write no diagnosis here: who may know why a man is away is for him and your governing body to say."
    />
    <p v-if="attendance.problem" class="page-problem" role="alert">{{ attendance.problem }}</p>
    <div class="day">
      <label
        >Day
        <input v-typed class="field" type="date" :value="attendance.day" @change="attendance.open(valueOf($event))"
      /></label>
      <span role="status">{{ attendance.says }}</span>
      <button
        class="strong"
        type="button"
        :disabled="attendance.men.every((m) => m.presence)"
        @click="attendance.othersHere()"
      >
        All the others are here
      </button>
    </div>
    <p v-if="roster.players.length === 0" class="none soft">
      Nobody is on the roster yet. <NuxtLink to="/team/roster">Write the men down</NuxtLink> first.
    </p>
    <ul>
      <li v-for="m in attendance.men" :key="m.id">
        <b>{{ m.number }}</b> <span class="name">{{ m.name }}</span>
        <span class="choice" role="radiogroup" :aria-label="m.name">
          <label v-for="h in HERE_IDS" :key="h">
            <input
              type="radio"
              :name="`here ${m.id}`"
              :checked="m.presence?.here === h"
              @change="attendance.write([{ playerId: m.id, here: h, note: m.presence?.note ?? '' }])"
            />
            {{ HERE[h] }}</label
          >
        </span>
        <input
          v-if="m.presence && m.presence.here !== 'here'"
          v-typed
          class="field"
          :value="m.presence.note"
          maxlength="200"
          placeholder="until when"
          :aria-label="`Note on ${m.name}`"
          @change="attendance.write([{ ...m.presence, note: valueOf($event) }])"
        />
        <span v-if="m.days" class="soft days">{{ m.days.there }} of {{ m.days.of }} days</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.day {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: baseline;
  padding: 12px 20px;
}
.none {
  padding: 0 20px;
}
ul {
  padding: 0 20px 40px;
  max-width: 820px;
}
li {
  display: grid;
  grid-template-columns: 34px 170px 230px minmax(0, 1fr) auto;
  gap: 4px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.choice {
  display: flex;
  gap: 14px;
}
.days {
  grid-column: 5;
  font-size: 13px;
}
input[type='radio'] {
  accent-color: var(--violet);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 34px minmax(0, 1fr);
  }
  .choice,
  li > .field,
  .days {
    grid-column: 2;
  }
}
</style>
