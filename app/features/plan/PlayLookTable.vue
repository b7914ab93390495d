<script setup lang="ts">
import PlanCell from './PlanCell.vue';
import { sayPlayOf } from './say-play';
import { usePlan } from './store';

/** Plays down, looks across: the verdict, and the one block each play hangs on there. */
const plan = usePlan();
const numberIn = (event: Event): number => Number((event.target as HTMLInputElement).value);
const percent = (share: number | null | undefined): string => (share == null ? '–' : `${Math.round(100 * share)} %`);
const setTimes = (at: number, times: number): void => {
  if (Number.isInteger(times) && times >= 1 && times <= 40) void plan.changePlay(at, { times });
};
const setWeight = (at: number, weight: number): void => {
  if (weight > 0 && weight <= 1000) void plan.changeLook(at, { weight });
};
</script>

<template>
  <div class="page-scroller table" tabindex="0" role="region" aria-label="Plays against looks">
    <table>
      <thead>
        <tr>
          <th scope="col">Play</th>
          <th scope="col" class="times">Times</th>
          <th v-for="(l, i) in plan.plan.looks" :key="l.front" scope="col" class="look">
            <span class="name">{{ l.frontName }}</span>
            <span class="share"
              ><b>{{ percent(plan.shares[i]) }}</b>
              <input
                v-typed
                class="field"
                type="number"
                min="1"
                :value="l.weight"
                :aria-label="`How much of the game: ${l.frontName}`"
                @change="setWeight(i, numberIn($event))"
              />
              <button class="plain drop" type="button" :aria-label="`Without ${l.frontName}`" @click="plan.dropLook(i)">
                ×
              </button></span
            >
          </th>
          <th scope="col" class="sound">Sound</th>
          <th scope="col"><span class="visually-hidden">Take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(p, i) in plan.plan.plays" :key="`${p.scheme} ${p.side} ${p.tags} ${p.formation}`">
          <th scope="row">
            {{ sayPlayOf(p) }}<span class="soft from">{{ p.formationName }}</span>
          </th>
          <td class="times">
            <input
              v-typed
              class="field"
              type="number"
              min="1"
              max="40"
              :value="p.times"
              :aria-label="`Times: ${sayPlayOf(p)}`"
              @change="setTimes(i, numberIn($event))"
            />
          </td>
          <PlanCell v-for="(l, j) in plan.plan.looks" :key="l.front" :play="i" :look="j" />
          <td class="sound">{{ percent(plan.sound[i]) }}</td>
          <td>
            <button class="plain drop" type="button" :aria-label="`Without ${sayPlayOf(p)}`" @click="plan.dropPlay(i)">
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft legend">
      Bold: the one block the play hangs on there. Lost alone, in time, it stops the run at the line or lets the
      quarterback be hit.
    </p>
  </div>
</template>

<style scoped>
.table {
  padding: 10px 20px 4px;
}
table {
  border-collapse: collapse;
  font-variation-settings: var(--narrow);
}
th,
td {
  text-align: left;
  padding: 3px 12px 3px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: middle;
}
thead th {
  vertical-align: bottom;
  font-size: 12.5px;
  border-bottom: 2px solid var(--ink);
}
tbody th {
  font-weight: 600;
  min-width: 170px;
  line-height: 1.2;
}
.from {
  display: block;
  font-weight: 400;
  font-size: 11.5px;
}
.legend {
  font-size: 12.5px;
  padding-top: 4px;
}
.times input {
  width: 48px;
}
.look {
  min-width: 128px;
  max-width: 170px;
}
.name {
  display: block;
  line-height: 1.2;
}
.share {
  display: flex;
  gap: 6px;
  align-items: baseline;
}
.share input {
  width: 50px;
}
.sound {
  font-weight: 650;
}
.drop {
  color: var(--soft);
  padding: 0 4px;
}
.drop:hover {
  color: var(--broken);
}
</style>
