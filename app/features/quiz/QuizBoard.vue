<script setup lang="ts">
import { computed } from 'vue';
import type { WorkedCall } from '#core/calls/resolve-call';

/** The picture a man is asked on, with men to tap: from above, or as he sees it from his own stance. */
const props = defineProps<{
  worked: WorkedCall;
  seat: string;
  /** Whose answer is asked for: theirs, ours, or nobody's. */
  asks: 'theirs' | 'ours' | 'nobody';
  chosen: readonly string[];
  /** Shown once it has been said: the right ones. */
  right: readonly string[];
  ownEyes: boolean;
  /** Nobody has them. */
  free?: readonly string[];
  /** Who says that he has whom, and how that stands: drawn from man to man. */
  links?: readonly {
    readonly seat: string;
    readonly whom: string;
    readonly tone: 'said' | 'two' | 'right' | 'wrong';
  }[];
}>();
const emit = defineEmits<{ tap: [id: string] }>();

const W = 380;
const H = 300;
/** Room above the deepest of them, seen from above. */
const OVER = 32;
const me = computed(() => props.worked.formation.men.find((m) => m.id === props.seat)!);

interface Place {
  readonly x: number;
  readonly y: number;
  /** How large he is drawn. */
  readonly size: number;
}
/** From above: as wide as the line and its edges, depth drawn shorter. */
const FOOT = 10.4;
const above = (p: { x: number; y: number }): Place => ({
  x: W / 2 + Math.max(-17, Math.min(17, p.x)) * FOOT,
  y: 222 - Math.max(-6, Math.min(19, p.y)) * 9.2,
  size: 1,
});
/** From his eyes, a yard behind his hands and four feet up: nearer is larger and lower. */
const EYES = { back: 5, up: 4.2 };
function fromHim(p: { x: number; y: number }): Place {
  const away = Math.max(1.5, p.y - me.value.y + EYES.back);
  const size = 9 / (away + 2);
  const x = W / 2 + ((p.x - me.value.x) / away) * 210;
  return {
    x: Math.max(18, Math.min(W - 18, x)),
    y: 60 + (EYES.up / away) * 150,
    size: Math.max(0.45, Math.min(1.7, size)),
  };
}
/** Theirs are drawn a little higher: nobody stands on the ball. */
const CLEAR = 17;
const place = (p: { x: number; y: number }): Place => (props.ownEyes ? fromHim(p) : above(p));
const theirPlace = (p: { x: number; y: number }): Place => {
  const at = place(p);
  return props.ownEyes ? at : { ...at, y: at.y - CLEAR };
};

const theirs = computed(() =>
  [...props.worked.front.defenders].sort((a, b) => b.y - a.y).map((d) => ({ ...d, at: theirPlace(d) })),
);
const ours = computed(() =>
  props.worked.formation.men
    .filter((m) => m.kind !== 'quarterback' && (!props.ownEyes || (m.y > -3 && m.id !== props.seat)))
    .map((m) => ({ ...m, at: place(m) })),
);
/** From above nothing is left empty over their heads. */
const top = computed(() => (props.ownEyes ? 0 : Math.max(0, Math.min(...theirs.value.map((d) => d.at.y)) - OVER)));
const joined = computed(() =>
  (props.links ?? []).flatMap((l) => {
    const [man, his] = [ours.value.find((m) => m.id === l.seat), theirs.value.find((d) => d.id === l.whom)];
    return man && his ? [{ ...l, from: man.at, to: his.at }] : [];
  }),
);
/** Where they go after the snap. */
const ways = computed(() =>
  (props.worked.resolution.movement?.moved ?? []).map((m) => ({
    id: m.id,
    d: m.way.map((p, i) => `${i ? 'L' : 'M'} ${theirPlace(p).x} ${theirPlace(p).y}`).join(' '),
  })),
);
const BAR = { wide: 17, tall: 13 };
const outline = (stance: string): string => {
  const { wide, tall } = BAR;
  const near = stance === 'down' ? `H 6 L 0 ${tall - 6} L -6 ${tall}` : '';
  return `M ${-wide} ${-tall} H ${wide} V ${tall} ${near} H ${-wide} Z`;
};
const key = (event: KeyboardEvent, id: string): void => {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  emit('tap', id);
};
</script>

<template>
  <svg :viewBox="`0 ${top} ${W} ${H - top}`" role="group" aria-label="The picture">
    <line class="ball" x1="0" :x2="W" :y1="ownEyes ? 150 : 222" :y2="ownEyes ? 150 : 222" />
    <path v-for="w in ways" :key="w.id" class="way" :d="w.d" />
    <line
      v-for="l in joined"
      :key="`${l.seat} ${l.whom}`"
      class="link"
      :class="l.tone"
      :x1="l.from.x"
      :y1="l.from.y"
      :x2="l.to.x"
      :y2="l.to.y"
    />
    <g
      v-for="m in ours"
      :key="m.id"
      class="ours"
      :class="{
        me: m.id === seat,
        chosen: chosen.includes(m.id),
        right: right.includes(m.id),
        tap: asks === 'ours' && m.id !== seat,
      }"
      :transform="`translate(${m.at.x} ${m.at.y}) scale(${m.at.size})`"
      :role="asks === 'ours' && m.id !== seat ? 'button' : undefined"
      :tabindex="asks === 'ours' && m.id !== seat ? 0 : undefined"
      :aria-label="m.id"
      @click="asks === 'ours' && m.id !== seat && emit('tap', m.id)"
      @keydown="asks === 'ours' && key($event, m.id)"
    >
      <rect x="-16" y="-12" width="32" height="24" rx="12" />
      <text y="4.5">{{ m.id }}</text>
    </g>
    <g
      v-for="d in theirs"
      :key="d.id"
      class="theirs"
      :class="{
        chosen: chosen.includes(d.id),
        right: right.includes(d.id),
        free: free?.includes(d.id),
        tap: asks === 'theirs',
      }"
      :transform="`translate(${d.at.x} ${d.at.y}) scale(${d.at.size})`"
      :role="asks === 'theirs' ? 'button' : undefined"
      :tabindex="asks === 'theirs' ? 0 : undefined"
      :aria-label="d.id"
      @click="asks === 'theirs' && emit('tap', d.id)"
      @keydown="asks === 'theirs' && key($event, d.id)"
    >
      <rect class="hit" x="-20" y="-20" width="40" height="40" />
      <path :d="outline(d.stance)" />
      <text :y="d.stance === 'down' ? 1 : 4.5">{{ d.id }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 52vh;
  touch-action: manipulation;
  user-select: none;
}
.ball {
  stroke: var(--rule);
  stroke-width: 1.5;
}
.way {
  fill: none;
  stroke: var(--defence);
  stroke-width: 1.6;
  stroke-dasharray: 4 3;
}
.link {
  stroke: var(--violet);
  stroke-width: 3;
}
.link.right {
  stroke: var(--sound);
}
.link.two,
.link.wrong {
  stroke: var(--broken);
  stroke-dasharray: 7 4;
}
text {
  text-anchor: middle;
  font-size: 13px;
  font-weight: 700;
}
.ours rect {
  fill: var(--ink);
}
.ours text {
  fill: var(--sheet);
}
.ours.me rect {
  fill: var(--violet);
}
.ours.me text {
  fill: var(--on-violet);
}
.theirs path {
  fill: var(--sheet);
  stroke: var(--defence);
  stroke-width: 2;
}
.theirs text {
  fill: var(--defence);
}
.hit {
  fill: transparent;
}
.tap {
  cursor: pointer;
  outline: none;
}
.tap:focus-visible path,
.tap:focus-visible rect:not(.hit) {
  stroke: var(--violet);
  stroke-width: 4;
}
.chosen path,
.ours.chosen rect {
  stroke: var(--violet);
  stroke-width: 4;
}
.free path {
  stroke: var(--broken);
  stroke-width: 4.5;
  stroke-dasharray: 6 3;
}
.right path {
  stroke: var(--sound);
  stroke-width: 4.5;
}
.ours.right rect {
  stroke: var(--sound);
  stroke-width: 4.5;
}
</style>
