<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { format } from 'date-fns';
import { computed, ref } from 'vue';
import { useEventListener } from '@vueuse/core';
import { halftimeSheet } from '#core/paper/halftime-sheet';
import { schemeName } from '~/features/board/scheme-names';
import { savePdf } from '~/features/paper/make';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlan } from '~/features/plan/store';
import { useSession } from '~/features/session/store';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeek } from '~/features/week/store';
import ChangedMen from './ChangedMen.vue';
import ChoiceRow from './ChoiceRow.vue';
import SoFar from './SoFar.vue';
import { useNight } from './store';

/** The sideline: call, look, who lost: three taps, and the game so far beside what was expected. */
const night = useNight();
const plan = usePlan();
const week = useWeek();
const session = useSession();
const online = ref(typeof navigator === 'undefined' || navigator.onLine);
useEventListener('online', () => void (online.value = true));
useEventListener('offline', () => void (online.value = false));

const says = computed(() => {
  const kept = night.unsent ? ` ${night.unsent} of them only on this device.` : '';
  return `Three taps a snap, with or without a connection. ${howMany(night.snaps.length, 'snap')} so far.${kept}`;
});
const last = computed(() => night.snaps.at(-1) ?? null);
const sayLast = computed(() => {
  if (!last.value) return '';
  const { number, call, lost } = last.value;
  return `${number}: ${schemeName(call.scheme)} ${call.side}, ${call.frontName}, ${lost.length ? `${lost.join(', ')} lost` : 'nobody lost'}`;
});
const allSigns = computed(() => [...new Set((plan.plan.answers ?? []).map((a) => a.sign))]);
/** Once somebody lost the last snap, anybody else who had a man may have as well; until it is in the log. */
const alsoSeats = computed(() => (last.value?.lost.length && night.unsent ? night.lastSeats : []));
const sayPlay = (scheme: string, side: string): string => `${schemeName(scheme)} ${side}`;
function print(): void {
  const title = `Week ${week.game!.week}, ${week.game!.opponent}`;
  const stamp = `${session.member?.programName}, ${title}, made ${format(new Date(), 'd MMM HH:mm')}`;
  void savePdf(
    `halftime ${title}`,
    [
      halftimeSheet(night.summary, {
        ...{ title, stamp, sayPlay, wins: night.wins, signs: night.signsSoFar },
        sound: night.sound.map((s) => ({ play: sayPlayOf(plan.plan.plays[s.play]!), ...s.sound })),
      }),
    ],
    'A4',
  );
}
</script>

<template>
  <div class="place">
    <WeekHead title="Game night" :says="says" />
    <p v-if="night.problem" class="page-problem" role="alert">{{ night.problem }}</p>
    <p v-if="!online" class="page-notice" role="status">No connection: every snap is kept on this device.</p>
    <p v-if="week.game && !plan.isReady" class="none">
      Calls and looks come from the plan. <NuxtLink to="/week/plan">Choose them</NuxtLink> before the game.
    </p>
    <div v-else-if="week.game" class="night">
      <section class="taps" aria-label="This snap">
        <h2>1 We called</h2>
        <div class="keys" role="group" aria-label="Call">
          <button
            v-for="p in plan.plan.plays"
            :key="`${p.scheme} ${p.side} ${p.formation}`"
            class="key"
            type="button"
            :aria-pressed="night.play === p"
            @click="night.play = p"
          >
            {{ sayPlayOf(p) }}
          </button>
        </div>
        <h2>2 They showed</h2>
        <div class="keys" role="group" aria-label="Look">
          <button
            v-for="l in plan.plan.looks"
            :key="l.front"
            class="key"
            type="button"
            :aria-pressed="night.look === l"
            @click="night.look = l"
          >
            {{ l.frontName }}
          </button>
        </div>
        <ChoiceRow
          v-if="allSigns.length"
          name="Their signs"
          says="and before it, if you saw it:"
          :choices="allSigns"
          :chosen="night.signs"
          @tap="night.toggleSign($event)"
        />
        <h2>3 Who lost</h2>
        <div class="keys" role="group" aria-label="Who lost">
          <button class="key strong" type="button" :disabled="night.seats.length === 0" @click="night.tap([])">
            nobody
          </button>
          <button v-for="s in night.seats" :key="s" class="key seat" type="button" @click="night.tap([s])">
            {{ s }}
          </button>
        </div>
        <p v-if="last" class="last" role="status">
          {{ sayLast }}
          <button v-if="night.unsent" class="plain link" type="button" @click="night.undo()">take it back</button>
        </p>
        <ChoiceRow
          v-if="alsoSeats.length"
          name="Who else lost"
          says="who else lost:"
          :choices="alsoSeats"
          :chosen="last!.lost"
          @tap="night.alsoLost($event)"
        />
        <p class="more">
          <span>Series {{ night.series }}</span>
          <button class="plain link" type="button" @click="night.nextSeries()">next series</button>
          <button class="plain link" type="button" :disabled="night.unsent === 0" @click="night.putIntoLog()">
            Put them into the log
          </button>
          <button class="plain link" type="button" :disabled="night.snaps.length === 0" @click="print">
            Halftime sheet
          </button>
        </p>
        <ChangedMen />
      </section>
      <SoFar />
    </div>
  </div>
</template>

<style scoped>
.none {
  padding: 20px;
}
.night {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(300px, 1fr);
  gap: 10px 36px;
  padding: 10px 20px 40px;
  align-items: start;
}
h2 {
  margin-top: 10px;
  font-size: 15px;
}
.keys {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
  padding-top: 6px;
}
.key {
  min-height: 52px;
  padding: 6px 10px;
  border: 1.5px solid var(--soft);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink);
  font-weight: 650;
  text-align: left;
  line-height: 1.15;
  cursor: pointer;
}
.key[aria-pressed='true'],
.key.strong {
  background: var(--violet);
  border-color: var(--violet);
  color: var(--on-violet);
}
.key.strong:disabled {
  background: var(--wash);
  border-color: var(--rule);
  color: var(--soft);
}
.key.seat {
  text-align: center;
}
.last {
  padding-top: 12px;
  font-size: 15px;
  font-weight: 600;
}
.more {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 8px 20px;
  padding-top: 10px;
}
.more button {
  min-height: 36px;
}
@media (max-width: 800px) {
  .night {
    grid-template-columns: minmax(0, 1fr);
    padding: 4px 14px 30px;
  }
  .keys {
    grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  }
}
</style>
