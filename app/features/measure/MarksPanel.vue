<script setup lang="ts">
import { computed } from 'vue';
import { paintedYard } from '#core/film/calibrate/field-marks';
import { ACROSS, FIELD_TYPES, type Calibration } from '#core/model/calibration';
import { sayCalibration, sayMark } from '#core/reports/calibration-lines';
import type { useMarking } from './marking';

const props = defineProps<{
  angle: string;
  marking: ReturnType<typeof useMarking>;
  kept: Calibration | null;
  /** The next click is the ball. */
  wantsBall: boolean;
  /** Another snap whose camera may have stood where this one stands. */
  offered: { readonly snap: number } | null;
}>();
const emit = defineEmits<{ keep: []; ball: []; takeOffered: [] }>();

const yards = Array.from({ length: 21 }, (_, i) => i * 5).map((yard) => ({
  yard,
  name:
    yard === 50 ? '50' : yard === 0 || yard === 100 ? `goal line, ${side(yard)}` : `${side(yard)} ${paintedYard(yard)}`,
}));
function side(yard: number): string {
  return yard < 50 ? 'our' : 'their';
}
const { field, marks, yard, across, found, ball, moves, input } = props.marking;
const HOLDS = {
  still: 'It holds while the camera stands still.',
  moves: 'It holds for this frame; following carries it along and says where it could not.',
} as const;
const needs = computed(() => {
  if (marks.value.length < 4) return `Click ${4 - marks.value.length} more where a line meets a hash or a sideline.`;
  if (!found.value) return 'These marks do not give a camera yet: name one on another line, or check their names.';
  if (props.wantsBall) return 'Click the ball as it lies before the snap.';
  if (!ball.value) return 'There is a camera. More marks make it surer; the ball is still to be clicked.';
  return sayCalibration(found.value);
});
</script>

<template>
  <section aria-label="Field marks">
    <p class="says" role="status">{{ needs }}</p>
    <p v-if="offered" class="offered">
      <button class="plain link" type="button" @click="emit('takeOffered')">
        The camera stands as on snap {{ offered.snap }}</button
      >{{ ' ' }}
      <span class="soft">Its lines are drawn then: where they do not lie on the film's, it has moved.</span>
    </p>
    <div class="next">
      <label
        >next
        <select v-model.number="yard" aria-label="Yard line of the next mark">
          <option v-for="y in yards" :key="y.yard" :value="y.yard">{{ y.name }}</option>
        </select>
      </label>
      <label
        >at the
        <select v-model="across" aria-label="Where on the line">
          <option v-for="a in ACROSS" :key="a" :value="a">{{ a }}</option>
        </select>
      </label>
      <label
        >field
        <select v-model="field" aria-label="Kind of field">
          <option v-for="f in FIELD_TYPES" :key="f" :value="f">{{ f }}</option>
        </select>
      </label>
    </div>
    <label class="moves"
      ><input v-model="moves" type="checkbox" /> the camera moves: carry it along from this frame by the field</label
    >
    <ul>
      <li v-for="m in marks" :key="`${m.yard}${m.across}${m.pixel.x}`">
        {{ sayMark(m) }}
        <button class="plain link" type="button" @click="marking.remove(m)">take away</button>
      </li>
      <li v-if="ball">
        the ball <button class="plain link" type="button" @click="emit('ball')">click it again</button>
      </li>
    </ul>
    <p class="act">
      <button
        v-if="!ball && marks.length >= 4"
        class="plain link"
        type="button"
        :aria-pressed="wantsBall"
        @click="emit('ball')"
      >
        <kbd>x</kbd> The next click is the ball
      </button>
      <button class="strong" type="button" :disabled="!input || !found" @click="emit('keep')">
        Keep the {{ angle }} camera
      </button>
    </p>
    <p v-if="kept" class="soft">Kept. {{ sayCalibration(kept) }} {{ HOLDS[kept.moves ? 'moves' : 'still'] }}</p>
    <p v-else class="soft">
      Once four marks are named the field is drawn over the film; a click near a dashed ring takes its name by itself.
    </p>
  </section>
</template>

<style scoped>
.says {
  font-weight: 600;
}
.next {
  display: grid;
  gap: 6px;
  margin: 10px 0;
}
.next label {
  display: grid;
  grid-template-columns: 52px 1fr;
  align-items: center;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  columns: 1;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
}
.moves {
  display: block;
  margin: 0 0 10px;
}
.act {
  display: grid;
  gap: 8px;
  margin: 12px 0;
}
</style>
