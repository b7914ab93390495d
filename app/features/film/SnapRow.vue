<script setup lang="ts">
import { computed } from 'vue';
import type { Cut } from '#core/film/log/cut';
import type { Grade } from '#core/model/grade';
import type { SnapItem } from '#core/model/game';
import { nameOfCall } from '#core/names/names';
import { schemeName } from '~/features/board/scheme-names';
import { faultOf } from '~/features/beside/extremes';
import { usePlaybook } from '~/features/playbook/store';
import { gradedCount } from './store';

/** A snap in the list: a row of its own, so that a mark draws the row of its snap anew and no other. */
const props = defineProps<{ snap: SnapItem; cut: Cut; isOpen: boolean; isTheirs: boolean }>();
const playbook = usePlaybook();

const graded = computed(() => gradedCount(props.snap));
/** The worst of the snap's marks stands for it. */
const worst = computed<Grade | null>(() => {
  if (graded.value < props.snap.asked.length) return null;
  return props.snap.graded.map((g) => g.grade).sort((a, b) => faultOf(b) - faultOf(a))[0] ?? null;
});
const calledFor = computed(() => `${schemeName(props.snap.call.scheme)} ${props.snap.call.side}`);
/** The call as the program says it; a play it has no name for by what its sheet is called. Of a game of theirs what they showed. */
const name = computed(() => {
  const { scheme, side, frontName } = props.snap.call;
  if (props.isTheirs) return frontName;
  const said = nameOfCall(playbook.naming, { scheme, side, formation: null, motion: null, tags: [] });
  return said.ok ? said.value : calledFor.value;
});
</script>

<template>
  <li>
    <NuxtLink :to="{ path: `/film/${snap.id}`, query: cut }" :aria-current="isOpen ? 'true' : undefined">
      <span class="soft">{{ snap.number }}</span>
      <span :title="calledFor">{{ name }}</span>
      <GradeMark v-if="worst" :grade="worst" :size="15" /><span v-else class="soft">{{
        graded ? `${graded}/${snap.asked.length}` : ''
      }}</span>
    </NuxtLink>
  </li>
</template>

<style scoped>
a {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) 22px;
  gap: 6px;
  padding: 5px 14px;
  color: var(--ink);
  text-decoration: none;
  line-height: 1.25;
  font-variation-settings: var(--narrow);
}
a:hover {
  background: var(--wash);
}
[aria-current] {
  background: var(--wash);
  font-weight: 700;
  box-shadow: inset 3px 0 var(--violet);
}
</style>
