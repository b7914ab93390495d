<script setup lang="ts">
import { computed } from 'vue';
import { lostFrames, meetingsOf } from '#core/film/follow/events';
import { askedOnFilm, isTelling, isTrusted } from '#core/film/measures/measure';
import { measuresOf } from '#core/film/measures/index';
import type { MovementReading } from '#core/film/alignment/movement';
import { describeMovement } from '#core/movement/menu';
import type { Angle } from '#core/model/angle';
import { sayCarried } from '#core/reports/calibration-lines';
import { askedBesideDone } from '#core/reports/meeting-lines';
import { pastTheLine } from '#core/film/measures/past-line';
import { sayPastLine } from '#core/reports/past-line';
import ReplayLines from './ReplayLines.vue';
import type { ReplayLine } from './replays';
import { useMeasure } from './store';

const props = defineProps<{
  running: boolean;
  progress: number;
  problem: string;
  /** Why following cannot begin yet; empty when it can. */
  missing: string;
  readings: readonly MovementReading[];
  inHand: { id: string; team: string } | null;
  replays: readonly ReplayLine[];
  /** Time of the frame on show, seconds from the snap. */
  seconds: number;
  /** When the ball is thrown, seconds from the snap, where that is marked. */
  thrown: number | null;
}>();
/** Which replay is drawn on the film. */
const again = defineModel<string>('again', { required: true });
const emit = defineEmits<{
  follow: [];
  stop: [];
  choose: [id: string, team: string];
  keep: [reading: MovementReading];
}>();
const store = useMeasure();

const meetings = computed(() =>
  store.measuring.followed ? meetingsOf(store.tracks, store.measuring.followed.framesPerSecond) : [],
);
const beside = computed(() => {
  const play = store.measuring.followed;
  return play
    ? askedBesideDone(store.snap!.resolution.assignments, meetings.value, play.framesPerSecond, play.start)
    : [];
});
/** Men the film loses for a while, and when first. */
const lost = computed(() => {
  const play = store.measuring.followed;
  if (!play) return [];
  return store.tracks.flatMap((t) => {
    const first = lostFrames(t).indexOf(true);
    return first < 0
      ? []
      : [{ id: t.id, team: t.team, at: Math.max(0, play.start + first / play.framesPerSecond).toFixed(1) }];
  });
});
/** What the film tells of the man in hand; what may be no more than chance stands back. */
const told = computed(() => {
  const play = store.measuring.followed;
  const man = store.tracks.find((t) => t.id === props.inHand?.id && t.team === props.inHand?.team);
  if (!play || !man || !store.call) return [];
  const { framesPerSecond, start } = play;
  const asked = askedOnFilm(store.call.formation, store.snap!.resolution);
  const onFilm = { tracks: store.tracks, framesPerSecond, start, meetings: meetings.value, ...asked };
  const seen = Object.keys(store.cameras) as Angle[];
  return measuresOf(onFilm, man).map((r) => ({
    name: r.measure.name,
    says: `${r.says}${isTrusted(r.measure, seen) ? '' : `; to be trusted from ${r.measure.trust} only`}`,
    telling: isTelling(r),
  }));
});
/** On a pass: who of the line is past the line when the ball is thrown, or as long as nobody marked that, on this frame. */
const past = computed(() => {
  const play = store.measuring.followed;
  if (!play || !store.snap?.resolution.passing) return null;
  const at = props.thrown ?? props.seconds;
  const found = pastTheLine(store.tracks, Math.round((at - play.start) * play.framesPerSecond));
  return found && sayPastLine(found, props.thrown === null ? 'frame' : 'throw');
});
/** How cameras that moved were carried along. */
const carried = computed(() => (store.measuring.followed?.carried ?? []).map(sayCarried));
const shown = computed(() => props.readings.slice(0, 3));
const says = (reading: MovementReading): string =>
  reading.movements.map(describeMovement).join(' and ') || 'came straight';
const percent = (share: number): string => `${Math.round(share * 100)} %`;
</script>

<template>
  <section aria-label="Ways through the play">
    <p v-if="missing" class="says">{{ missing }}</p>
    <p v-else class="act">
      <button v-if="running" class="plain link" type="button" @click="emit('stop')">Stop following</button>
      <button v-else class="strong" type="button" @click="emit('follow')">
        {{ store.measuring.followed ? 'Follow everybody again' : 'Follow everybody' }}
      </button>
      <progress v-if="running" :value="progress" max="1" aria-label="Following" />
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="store.measuring.followed">
      <p v-for="c in carried" :key="c" class="soft">{{ c }}</p>
      <h2>The front</h2>
      <ul v-if="shown.length" class="readings">
        <li v-for="(r, i) in shown" :key="i">
          <span>{{ says(r) }}</span> <span class="soft">{{ percent(r.share) }}</span>
          <button v-if="r.movements.length" class="plain link" type="button" @click="emit('keep', r)">keep</button>
        </li>
      </ul>
      <h2>Asked and done</h2>
      <table>
        <tbody>
          <tr v-for="b in beside" :key="b.man" :class="{ hand: inHand?.id === b.man, other: b.same === false }">
            <th scope="row">
              <button class="plain" type="button" @click="emit('choose', b.man, 'offence')">{{ b.man }}</button>
            </th>
            <td>{{ b.asked }}</td>
            <td>{{ b.done }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="told.length && inHand">
        <h2>{{ inHand.id }} on the film</h2>
        <dl>
          <template v-for="t in told" :key="t.name">
            <dt>{{ t.name }}</dt>
            <dd :class="{ soft: !t.telling }">{{ t.says }}</dd>
          </template>
        </dl>
      </template>
      <p v-if="past">{{ past }}</p>
      <ReplayLines v-if="replays.length" v-model="again" :lines="replays" />
      <p v-if="lost.length" class="soft">
        Lost from sight:
        <template v-for="(l, i) in lost" :key="`${l.team}${l.id}`"
          >{{ i ? ', ' : ''
          }}<button class="plain link" type="button" @click="emit('choose', l.id, l.team)">{{ l.id }}</button> from
          {{ l.at }} s</template
        >. Choose a man and click where he stands on any frame: his way bends through it.
      </p>
      <p class="soft">
        Green is what was asked, by the run of the play; the other lines are what was done. Measured on film, never a
        grade.
      </p>
    </template>
  </section>
</template>

<style scoped>
p {
  margin: 8px 0;
}
.says {
  font-weight: 600;
}
.act {
  display: grid;
  gap: 8px;
}
progress {
  width: 100%;
  accent-color: var(--violet);
}
h2 {
  font-size: 13px;
  margin: 12px 0 4px;
}
.readings button {
  margin-left: 8px;
}
.readings {
  list-style: none;
  padding: 0;
  margin: 0;
}
dl {
  display: grid;
  grid-template-columns: 112px 1fr;
  gap: 2px 8px;
  margin: 0;
  font-size: 13px;
}
dd {
  margin: 0;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
th {
  text-align: left;
  width: 40px;
  font-weight: 650;
}
td,
th {
  padding: 2px 6px 2px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
td:nth-child(2) {
  white-space: nowrap;
}
tr.hand {
  background: var(--wash);
}
tr.other td:last-child {
  color: var(--risk);
  font-weight: 600;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
