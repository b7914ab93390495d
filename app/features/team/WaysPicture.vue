<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Identification } from '#core/model/identification';
import CallPicture from '~/features/board/CallPicture.vue';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';

/** What the settings come to on a front one can choose: who is who, and a play against it. */
const props = defineProps<{ scheme: string | null }>();
const playbook = usePlaybook();
const front = ref('over');
const formation = 'tight-end';
const FRONTS = ['over', 'under', 'odd', 'four-four', 'bear', 'over-walked', 'wide-nine'];
const fronts = computed(() => playbook.fronts.filter((f) => FRONTS.includes(f.id)));

/** Who is who, in sentences. */
const sentences = ({ strength, mike, box, sideCall }: Identification): string[] =>
  [
    `strength ${strength.side}: ${strength.because}`,
    mike.id ? `the Mike is ${mike.id}: ${mike.because}` : 'nobody is the Mike',
    `the box is ${box.spoken}: ${box.because}`,
    `left ${sideCall.left.call}, right ${sideCall.right.call}`,
  ].map((s) => `${upperFirst(s).replace(/\.$/, '')}.`);
</script>

<template>
  <section aria-label="What it comes to">
    <label class="soft"
      >Against
      <select v-model="front">
        <option v-for="f in fronts" :key="f.id" :value="f.id">{{ f.name }}</option>
      </select></label
    >
    <CallPicture :scheme="props.scheme" :formation="formation" :front="front" side="right" :height="270">
      <template #default="{ identification }">
        <ul v-if="identification">
          <li v-for="s in sentences(identification)" :key="s">{{ s }}</li>
        </ul>
      </template>
    </CallPicture>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
ul {
  font-size: 13px;
  padding-top: 8px;
}
li {
  padding: 2px 0;
}
</style>
