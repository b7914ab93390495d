<script setup lang="ts">
import { computed } from 'vue';
import { fieldLines } from '#core/film/calibrate/field-marks';
import { project } from '#core/film/calibrate/camera';
import type { Calibration, FieldMark, Pixel } from '#core/model/calibration';
import type { ManOnPicture, WayOnPicture } from './overlay';

/** What is drawn over a picture, in its own pixels; `unit` of them are one of the screen. */
const props = defineProps<{
  width: number;
  height: number;
  unit: number;
  /** Names are written on the picture that leads. */
  leads: boolean;
  calibration: Calibration | null;
  /** The field as the camera has it. */
  lines: boolean;
  marks: readonly FieldMark[];
  expected: readonly { pixel: Pixel }[];
  ball: Pixel | null;
  men: readonly ManOnPicture[];
  ways: readonly WayOnPicture[];
  stances: readonly string[];
  foot: Pixel | null;
  cursor: Pixel | null;
}>();

const PIECES = 30;
/** Straight lines of the field are bent by the lens: they are drawn in pieces. */
const paths = computed(() => {
  const { calibration, lines, width, height } = props;
  if (!calibration || !lines) return [];
  return fieldLines(calibration.field, calibration.spot).map(({ from, to }) => {
    let path = '';
    let drawing = false;
    for (let i = 0; i <= PIECES; i++) {
      const t = i / PIECES;
      const at = { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t, z: 0 };
      const p = project(calibration.camera, at, calibration);
      const near = p && p.x > -width && p.x < 2 * width && p.y > -height && p.y < 2 * height;
      if (near) path += `${drawing ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
      drawing = near === true;
    }
    return path;
  });
});
const cross = ({ x, y }: Pixel, half: number): string =>
  `M${x - half} ${y}L${x + half} ${y}M${x} ${y - half}L${x} ${y + half}`;
</script>

<template>
  <g class="drawn" :style="{ '--unit': unit }">
    <path v-for="(d, i) in paths" :key="`l${i}`" class="line" :d="d" />
    <circle v-for="(e, i) in expected" :key="`e${i}`" class="expected" :cx="e.pixel.x" :cy="e.pixel.y" :r="5 * unit" />
    <path v-for="(m, i) in marks" :key="`m${i}`" class="mark" :d="cross(m.pixel, 8 * unit)" />
    <circle v-if="ball" class="ball" :cx="ball.x" :cy="ball.y" :r="5 * unit" />
    <template v-for="w in ways" :key="w.key">
      <path v-if="w.asked" class="asked" :class="w.team" :d="w.asked" />
      <path v-if="w.done" class="done" :class="[w.team, { lost: w.lost, hand: w.inHand }]" :d="w.done" />
      <path v-if="w.apart" class="apart" :d="w.apart" />
      <path
        v-if="w.planned"
        class="planned"
        :class="w.team"
        :d="`M${w.planned.x - 6 * unit} ${w.planned.y}l${6 * unit} ${-4 * unit}l${6 * unit} ${4 * unit}l${-6 * unit} ${4 * unit}z`"
      />
    </template>
    <g v-for="m in men" :key="m.key" class="man" :class="[m.team, m.state]">
      <path v-if="m.ellipse" class="ellipse" :d="m.ellipse" />
      <ellipse :cx="m.at.x" :cy="m.at.y" :rx="9 * unit" :ry="4.5 * unit" />
      <text v-if="leads" :x="m.at.x" :y="m.at.y + 17 * unit" :font-size="12 * unit">{{ m.id }}</text>
    </g>
    <path v-for="(d, i) in stances" :key="`s${i}`" class="stance" :d="d" />
    <path v-if="foot" class="stance" :d="cross(foot, 5 * unit)" />
    <path v-if="cursor" class="cursor" :d="cross(cursor, 14 * unit)" />
  </g>
</template>

<style scoped>
.drawn path,
.drawn circle,
.drawn ellipse {
  fill: none;
  stroke-width: calc(1.6px * var(--unit));
}
.line {
  stroke: #c9b2ff;
  stroke-opacity: 0.75;
}
.mark {
  stroke: #ffe27a;
}
.expected {
  stroke: #c9b2ff;
  stroke-dasharray: calc(3px * var(--unit));
}
.ball {
  stroke: #ff9d5c;
}
.stance {
  stroke: #7ce8d0;
  stroke-linecap: round;
}
.cursor {
  stroke: #fff;
}
.man ellipse {
  stroke: #cdb8ff;
  fill: rgb(50 20 100 / 55%);
}
.man.defence ellipse {
  stroke: #ffd28a;
  fill: rgb(90 55 0 / 55%);
}
.man.guess ellipse {
  fill: none;
  stroke-dasharray: calc(3px * var(--unit));
  stroke-opacity: 0.7;
}
.man.lost ellipse {
  stroke-dasharray: calc(2px * var(--unit));
  fill: none;
}
.man.next ellipse {
  stroke: #fff;
  stroke-width: calc(2.6px * var(--unit));
}
.man text {
  text-anchor: middle;
  fill: #fff;
  font-weight: 650;
  paint-order: stroke;
  stroke: rgb(13 19 14 / 80%);
  stroke-width: calc(3px * var(--unit));
}
.man.guess text {
  fill-opacity: 0.75;
}
.ellipse {
  stroke: #fff;
  stroke-opacity: 0.8;
}
.drawn .done {
  stroke: #cdb8ff;
  stroke-width: calc(2.4px * var(--unit));
}
.drawn .done.defence {
  stroke: #ffd28a;
}
.drawn .done.lost {
  stroke-dasharray: calc(4px * var(--unit));
}
.drawn .done.hand {
  stroke: #fff;
  stroke-width: calc(3.4px * var(--unit));
}
.drawn .asked {
  stroke: #8ff0c4;
  stroke-dasharray: calc(7px * var(--unit)) calc(4px * var(--unit));
}
.drawn .apart {
  stroke: #8ff0c4;
  stroke-width: calc(3px * var(--unit));
  stroke-dasharray: calc(1.5px * var(--unit)) calc(2px * var(--unit));
}
.drawn .planned {
  stroke: #8ff0c4;
  fill: rgb(10 60 40 / 60%);
}
</style>
