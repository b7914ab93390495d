<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { letGo, type SignSeen } from '#core/night/signs';
import { schemeName } from '~/features/board/scheme-names';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlan } from '~/features/plan/store';
import { useNight } from './store';

/** The game as it has been tapped, beside what was expected of it. */
const night = useNight();
const plan = usePlan();
const percent = (share: number | null): string =>
  share === null ? 'not expected' : `${Math.round(100 * share)} % expected`;
const sayAnswer = ({ plays }: SignSeen): string =>
  plays.map((p) => `${schemeName(p.scheme)} ${p.side}`).join(' or ') || 'no play of the plan';
const saySign = ({ answered }: SignSeen): string =>
  answered.of === 0 ? 'not yet' : `seen ${answered.of}, answered ${answered.good}`;
const sayLetGo = (s: SignSeen): string =>
  s.plays.length === 0
    ? `seen ${letGo(s)} times, and nothing answers it`
    : `let go ${howMany(letGo(s), 'time')}: call ${sayAnswer(s)}`;
/** Calls of those that hold that are listed on the sideline. */
const SHOWN = 5;
</script>

<template>
  <section aria-label="So far">
    <h2>Expected and seen</h2>
    <ul>
      <li v-for="l in night.summary.looks" :key="l.frontName">
        <span>{{ l.frontName }}</span>
        <b>{{ l.seen.good }} of {{ l.seen.of }}</b>
        <span class="soft">{{ percent(l.expected) }}</span>
        <span v-if="l.otherwise" class="flag">otherwise than expected</span>
      </li>
    </ul>
    <template v-if="night.signsSoFar.length">
      <h2>Their signs</h2>
      <ul>
        <li v-for="s in night.signsSoFar" :key="s.sign">
          <span>{{ s.sign }}</span>
          <b>{{ saySign(s) }}</b>
          <span class="soft">{{ sayAnswer(s) }}</span>
          <span v-if="letGo(s) > 0" class="flag">{{ sayLetGo(s) }}</span>
        </li>
      </ul>
    </template>
    <template v-if="night.summary.lost.length">
      <h2>Who lost</h2>
      <ul>
        <li v-for="l in night.summary.lost" :key="l.seat">
          <b>{{ l.seat }}</b> <span>{{ l.times }}×</span> <span class="soft">{{ l.against.join(', ') }}</span>
        </li>
      </ul>
    </template>
    <template v-if="night.wins.length">
      <h2>Who of theirs wins</h2>
      <ul>
        <li v-for="w in night.wins" :key="w.defender">
          <b>{{ w.defender }}</b> <span>{{ w.times }}×</span>
          <span class="soft">against {{ w.against.join(', ') }}</span>
        </li>
      </ul>
    </template>
    <template v-if="night.sound.length">
      <h2>What holds against what they show</h2>
      <ul>
        <li v-for="s in night.sound.slice(0, SHOWN)" :key="s.play">
          <span>{{ sayPlayOf(plan.plan.plays[s.play]!) }}</span>
          <b>{{ s.sound.good }} of {{ s.sound.of }}</b>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 10px;
  font-size: 15px;
}
li {
  display: grid;
  grid-template-columns: minmax(90px, 1.4fr) auto minmax(0, 1fr);
  gap: 2px 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.flag {
  grid-column: 1 / -1;
  color: var(--broken);
  font-weight: 600;
  font-size: 13px;
}
</style>
