<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';
import type { Identification } from '#core/model/identification';
import type { Resolution } from '#core/model/resolution';
import BoardBlocker from './BoardBlocker.vue';
import BoardDefender from './BoardDefender.vue';
import BoardPath from './BoardPath.vue';
import { partOf } from './words';
import { apart, type Mark } from './apart';
import { BAR_HALF, EDGE, type BoardScale, type Column } from './scale';

const props = defineProps<{
  formation: Formation;
  front: Front;
  identification: Identification;
  /** What a play does to it; without one only places and techniques are drawn. */
  resolution: Resolution | null;
  scale: BoardScale;
  columns: readonly Column[];
  selected: string | null;
  numbers: Readonly<Record<string, number>>;
  movable: boolean;
  /** Our own men can be moved as well: a formation is being drawn. */
  ours?: boolean;
  /** Everybody's place at a moment after the snap, by name, with the ball; without it, where they stand. */
  places?: ReadonlyMap<string, { x: number; y: number }> | null;
  /** Something else is drawn under the men instead of the blockers' paths. */
  pathless?: boolean;
  /** Only these men of ours are looked at: nobody else's path is drawn. */
  only?: ReadonlySet<string> | undefined;
}>();
const emit = defineEmits<{
  select: [id: string];
  move: [id: string, to: { x: number; y: number }];
  nudge: [id: string, dx: number, dy: number];
  moveOurs: [id: string, to: { x: number; y: number }];
  nudgeOurs: [id: string, dx: number, dy: number];
}>();

const svg = ref<SVGSVGElement | null>(null);
interface InHand {
  readonly id: string;
  readonly team: 'ours' | 'theirs';
  readonly x: number;
  readonly y: number;
  /** Where on him the pointer took hold, feet. */
  readonly hold: { x: number; y: number };
}
/** The man in hand, where he is drawn; feet. */
const dragging = ref<InHand | null>(null);

const yardLines = computed(() =>
  [0, 1, 2, 3, 4, 5]
    .filter((yards) => yards * 3 <= props.scale.far)
    .map((yards) => ({ yards, y: props.scale.y(yards * 3) })),
);
const gaps = computed(() => {
  const line = props.formation.men.filter((m) => m.kind === 'line' || m.kind === 'tight').sort((a, b) => a.x - b.x);
  const centre = line.findIndex((m) => m.id === 'C');
  return line
    .slice(1)
    .map((man, i) => ({ x: (man.x + line[i]!.x) / 2, letter: 'ABCDE'[i < centre ? centre - i - 1 : i - centre] }));
});
const technique = computed(
  () =>
    new Map(
      props.identification.techniques.map((t) => [t.id, t.label.replace(/ (left|right)/, '').replace(/ @.*/, '')]),
    ),
);
/** A man nobody has is only marked as free where he counts: on the line or in the box. */
const status = computed(
  () =>
    new Map(
      props.resolution?.defenders.map((d) => [
        d.id,
        d.status === 'free' && !props.identification.box.ids.includes(d.id) ? ('outside' as const) : d.status,
      ]) ?? [],
    ),
);
const blocking = computed(
  () =>
    props.only ?? new Set(props.resolution?.assignments.map((a) => a.blocker) ?? props.formation.men.map((m) => m.id)),
);
const paths = computed(() =>
  props.places || props.pathless
    ? []
    : (props.resolution?.assignments ?? []).filter((a) => !props.only || props.only.has(a.blocker)),
);
const lane = computed(() =>
  props.resolution && !props.resolution.passing
    ? { x: props.scale.x(props.resolution.attack.x), width: 2 * props.scale.across }
    : null,
);

function place(event: PointerEvent): { x: number; y: number } {
  const box = svg.value!.getBoundingClientRect();
  const { scale } = props;
  const px = ((event.clientX - box.left) / box.width) * scale.width;
  const py = ((event.clientY - box.top) / box.height) * scale.height;
  return { x: (px - scale.x(0)) / scale.across, y: scale.far - (py - scale.y(scale.far)) / scale.deep };
}

function grab(event: PointerEvent, team: InHand['team'], man: { id: string; x: number; y: number }): void {
  emit('select', man.id);
  if (team === 'theirs' ? !props.movable : !props.ours) return;
  svg.value?.setPointerCapture(event.pointerId);
  const at = place(event);
  dragging.value = { id: man.id, team, x: man.x, y: man.y, hold: { x: man.x - at.x, y: man.y - at.y } };
}

function drag(event: PointerEvent): void {
  if (!dragging.value) return;
  const at = place(event);
  const { hold } = dragging.value;
  dragging.value = { ...dragging.value, x: at.x + hold.x, y: at.y + hold.y };
}

function drop(event: PointerEvent): void {
  drag(event);
  if (!dragging.value) return;
  const { id, team, x, y } = dragging.value;
  dragging.value = null;
  if (team === 'theirs') emit('move', id, { x, y });
  else emit('moveOurs', id, { x, y });
}

const standing = (
  team: InHand['team'],
  { id, x, y }: { id: string; x: number; y: number },
): { x: number; y: number } =>
  dragging.value?.id === id && dragging.value.team === team ? dragging.value : (props.places?.get(id) ?? { x, y });
const parts = computed(() => new Map((props.resolution?.assignments ?? []).map((a) => [a.blocker, partOf(a)])));
const ball = computed(() => props.places?.get('ball') ?? null);
/** Where movements take the defence, as lines behind the men. */
const ways = computed(() =>
  (props.places ? [] : (props.resolution?.movement?.moved ?? [])).map((m) => ({
    id: m.id,
    d: m.way.map((p, i) => `${i ? 'L' : 'M'} ${props.scale.x(p.x)} ${props.scale.y(p.y)}`).join(' '),
    end: m.way[m.way.length - 1]!,
  })),
);
/** How far men who stand on one spot are drawn from it, so that each can be read. */
const shifts = computed(() => {
  const { scale, formation, front } = props;
  const mark = (team: Mark['team'], man: { id: string; x: number; y: number }): Mark => {
    const at = standing(team, man);
    const held = dragging.value?.id === man.id && dragging.value.team === team;
    const half = { x: scale.across, y: BAR_HALF };
    return { id: `${team} ${man.id}`, team, x: scale.x(at.x), y: scale.y(at.y), half, held };
  };
  const all = [...formation.men.map((m) => mark('ours', m)), ...front.defenders.map((d) => mark('theirs', d))];
  return apart(all.filter((m) => m.x >= EDGE && m.x <= scale.width - EDGE));
});
const shiftOf = (team: Mark['team'], id: string): string | undefined => {
  const shift = shifts.value.get(`${team} ${id}`);
  return shift && `translate(${shift.dx} ${shift.dy})`;
};
const spot = computed(() => props.resolution?.passing?.spot ?? null);
</script>

<template>
  <svg
    ref="svg"
    class="board"
    :viewBox="`0 0 ${scale.width} ${scale.height}`"
    :width="scale.width"
    :height="scale.height"
    role="group"
    :aria-label="`${front.name} against ${formation.name}`"
    @pointermove="drag"
    @pointerup="drop"
    @pointercancel="dragging = null"
  >
    <template v-if="lane">
      <rect
        class="lane"
        :x="lane.x - lane.width / 2"
        :y="scale.y(scale.far) - 2"
        :width="lane.width"
        :height="scale.y(-0.6) - scale.y(scale.far)"
      />
      <text class="lane-name" :x="lane.x" :y="scale.y(scale.far) - 5">aims here</text>
    </template>
    <g v-for="line in yardLines" :key="line.yards">
      <line :class="line.yards ? 'yard' : 'scrimmage'" x1="0" :x2="scale.width" :y1="line.y" :y2="line.y" />
      <text v-if="line.yards" class="yard-name" x="2" :y="line.y - 3">{{ line.yards }} yd</text>
    </g>
    <text class="yard-name" x="2" :y="scale.height - 4">
      depth drawn at {{ Math.round((scale.deep / scale.across) * 100) }} %
    </text>
    <text v-for="gap in gaps" :key="gap.x" class="gap" :x="scale.x(gap.x)" :y="scale.y(0) + 4">{{ gap.letter }}</text>
    <line
      v-for="c in columns"
      :key="c.id"
      class="leader"
      :class="{ on: c.id === selected }"
      :x1="c.manX"
      :y1="scale.y(-2.4)"
      :x2="c.left + c.width / 2"
      :y2="scale.height"
    />
    <g v-if="spot" class="spot">
      <circle :cx="scale.x(spot.x)" :cy="scale.y(spot.y)" r="9" />
      <text :x="scale.x(spot.x) + scale.across + 8" :y="scale.y(spot.y) + 4">throws from here</text>
    </g>
    <g v-for="w in ways" :key="w.id" class="way">
      <path :d="w.d" />
      <circle :cx="scale.x(w.end.x)" :cy="scale.y(w.end.y)" r="4" />
    </g>
    <slot name="under" />
    <BoardPath
      v-for="a in paths"
      :key="a.blocker"
      :assignment="a"
      :scale="scale"
      :on="a.blocker === selected"
      :target="front.defenders.find((d) => d.id === a.target) ?? null"
      :side="resolution?.side ?? 'right'"
    />
    <BoardBlocker
      v-for="man in formation.men.filter((m) => ours || Math.abs(m.x) < 24)"
      :key="man.id"
      :shift="shiftOf('ours', man.id)"
      :man="{ ...man, ...standing('ours', man) }"
      :number="numbers[man.id]"
      :scale="scale"
      :selected="man.id === selected"
      :idle="!blocking.has(man.id)"
      :movable="ours && man.id !== 'C'"
      :part="parts.get(man.id)"
      @select="emit('select', man.id)"
      @grab="grab($event, 'ours', man)"
      @nudge="(dx, dy) => emit('nudgeOurs', man.id, dx, dy)"
    />
    <BoardDefender
      v-for="d in front.defenders"
      :key="d.id"
      :defender="d"
      :place="standing('theirs', d)"
      :shift="shiftOf('theirs', d.id)"
      :scale="scale"
      :label="places ? '' : (technique.get(d.id) ?? '')"
      :status="status.get(d.id) ?? (resolution ? 'free' : 'single')"
      :selected="d.id === selected"
      :movable="movable"
      @grab="grab($event, 'theirs', d)"
      @focus="emit('select', d.id)"
      @nudge="(dx, dy) => emit('nudge', d.id, dx, dy)"
    />
    <ellipse
      v-if="ball"
      class="ball"
      :cx="scale.x(ball.x) + scale.across - 4"
      :cy="scale.y(ball.y) - BAR_HALF"
      rx="7"
      ry="4.5"
    />
  </svg>
</template>

<style scoped>
.board {
  display: block;
  touch-action: none;
  user-select: none;
}
.lane {
  fill: var(--wash);
}
.lane-name {
  font-size: 11px;
  fill: var(--violet);
  text-anchor: middle;
}
.yard {
  stroke: var(--rule);
}
.scrimmage {
  stroke: var(--soft);
  stroke-width: 1.5;
}
.yard-name {
  font-size: 10.5px;
  fill: var(--soft);
}
.gap {
  font-size: 11px;
  fill: var(--soft);
  text-anchor: middle;
}
.leader {
  stroke: var(--rule);
}
.way path {
  fill: none;
  stroke: var(--defence);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}
.way circle {
  fill: var(--defence);
}
.spot circle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 3 3;
}
.spot text {
  font-size: 11px;
  fill: var(--soft);
}
.ball {
  fill: var(--violet);
  stroke: var(--sheet);
  stroke-width: 1.5;
}
.leader.on {
  stroke: var(--violet);
}
</style>
