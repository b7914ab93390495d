<script setup lang="ts">
/** What stands before one is inside: the mark, a heading, and a form. */
defineProps<{ title: string }>();
</script>

<template>
  <main class="door">
    <svg class="mark" viewBox="-13 -5 26 9" role="img" aria-label="Five blockers against a front of four">
      <g v-for="x in [-8, -4, 0, 4, 8]" :key="x" class="ours">
        <rect :x="x - 1.3" y="0.6" width="2.6" height="1.7" rx="0.85" />
        <path :d="`M${x - 0.45} 0.7 L${x} 0.1 L${x + 0.45} 0.7 Z`" />
      </g>
      <path
        v-for="x in [-9, -1, 5, 9]"
        :key="x"
        class="theirs"
        :d="`M${x - 1.2} -2.6 h2.4 v1.5 h-0.8 l-0.4 -0.5 l-0.4 0.5 h-0.8 z`"
      />
    </svg>
    <h1>{{ title }}</h1>
    <slot />
  </main>
</template>

<style>
.door {
  max-width: 420px;
  margin: 0 auto;
  padding: 9vh 20px 40px;
  display: grid;
  gap: 14px;
}
.door .mark {
  width: 260px;
}
.door .ours {
  fill: var(--ink);
}
.door .theirs {
  fill: none;
  stroke: var(--defence);
  stroke-width: 0.22;
}
.door h1 {
  font-size: 30px;
  font-weight: 800;
  color: var(--violet);
  font-variation-settings: var(--narrow);
  line-height: 1;
}
.door form {
  display: grid;
  gap: 6px;
  margin-top: 8px;
}
.door form .p-button {
  margin-top: 8px;
  justify-self: start;
}
.door label {
  font-weight: 600;
  font-size: 13px;
}
.door label + .soft {
  font-size: 13px;
}
.door .problem {
  color: var(--broken);
  font-weight: 600;
}
.door section {
  border-top: 1px solid var(--rule);
  padding-top: 12px;
  display: grid;
  gap: 8px;
}
</style>
