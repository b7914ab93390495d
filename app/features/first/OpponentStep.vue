<script setup lang="ts">
import { computed, ref } from 'vue';
import { verdictSentence } from '#core/reports/verdict-sentence';
import CallPicture from '~/features/board/CallPicture.vue';
import VerdictWord from '~/components/ui/VerdictWord.vue';
import { usePlaybook } from '~/features/playbook/store';
import { useFirst } from './store';

/** Whom one plays next and what they stand in: one's own first play against it. */
const first = useFirst();
const playbook = usePlaybook();
const opponent = ref('');
const week = ref(1);
const front = ref('over');
/** The first play that was taken, or one that everybody knows. */
const play = ref(playbook.program.plays?.[0] ?? 'power');
const from = computed(() => playbook.schemes.find((e) => e.id === play.value)?.from ?? 'tight-end');

async function see(): Promise<void> {
  const kept = await first.meet(opponent.value.trim(), week.value, front.value);
  if (kept === null || !(await first.take('opponent'))) return;
  const call = { play: play.value, side: 'right', formation: from.value, front: kept };
  await navigateTo({ path: '/walkthrough', query: call });
}
async function later(): Promise<void> {
  if (await first.take('opponent')) await navigateTo('/walkthrough');
}
</script>

<template>
  <form class="step" @submit.prevent="see">
    <p class="words">
      <label>In week <input v-model.number="week" class="field week" type="number" min="0" max="60" required /></label>
      <label>we play <input v-model="opponent" class="field" maxlength="80" required placeholder="name" /></label>
      <label
        >who stand in
        <select v-model="front" class="field">
          <option v-for="f in playbook.fronts" :key="f.id" :value="f.id">{{ f.name }}</option>
        </select></label
      >
    </p>
    <p class="words">
      <label
        >Our first play is
        <select v-model="play" class="field">
          <optgroup v-for="g in playbook.plays" :key="g.family" :label="g.family">
            <option v-for="p in g.items" :key="p.id" :value="p.id">{{ p.name }}</option>
          </optgroup>
        </select></label
      >
    </p>
    <CallPicture :scheme="play" :formation="from" :front="front" side="right" :height="300">
      <template #default="{ resolution }">
        <VerdictWord v-if="resolution" :verdict="resolution.verdict" :sentence="verdictSentence(resolution)" />
      </template>
    </CallPicture>
    <p class="words">
      <button class="strong" type="submit">See it man by man</button>
      <button class="plain link" type="button" @click="later">Not yet</button>
    </p>
  </form>
</template>

<style scoped>
.step {
  display: grid;
  gap: 12px;
  max-width: 900px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: baseline;
}
.week {
  width: 62px;
}
</style>
