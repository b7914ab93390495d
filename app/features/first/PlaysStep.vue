<script setup lang="ts">
import { computed, ref } from 'vue';
import { verdictSentence } from '#core/reports/verdict-sentence';
import { readTree } from '#core/language/read';
import CallPicture from '~/features/board/CallPicture.vue';
import { usePlaybook } from '~/features/playbook/store';
import { useFirst } from './store';

/** Which plays of the library to start from: a family at a time, its schools side by side against one front. */
const first = useFirst();
const playbook = usePlaybook();
const front = ref('over');
const all = computed(() => playbook.book.list('schemes'));
const families = computed(() => [...new Set(all.value.map((e) => e.family))]);
const family = ref('inside zone');
const chosen = computed<readonly string[]>(() => playbook.program.plays ?? []);
const shown = computed(() => all.value.filter((e) => e.family === family.value));
const count = (of: string): number => all.value.filter((e) => e.family === of && chosen.value.includes(e.id)).length;
/** What a play is, as the first line of its text says it. */
const about = (id: string): string => {
  const text = playbook.book.text('schemes', id) ?? '';
  return readTree(text).tree ? (/^# (.*)/.exec(text)?.[1] ?? '') : '';
};
</script>

<template>
  <div class="step">
    <p class="soft">
      One tap takes a play into your book. The others stay in the library; until you choose, all of them are offered.
    </p>
    <p class="families">
      <button
        v-for="f in families"
        :key="f"
        class="plain"
        type="button"
        :aria-pressed="f === family"
        @click="family = f"
      >
        {{ count(f) ? `${f}, ${count(f)}` : f }}
      </button>
      <label class="soft"
        >all against
        <select v-model="front">
          <option v-for="f in playbook.fronts" :key="f.id" :value="f.id">{{ f.name }}</option>
        </select></label
      >
    </p>
    <ul class="schools">
      <li v-for="e in shown" :key="e.id" :class="{ ours: chosen.includes(e.id) }">
        <label>
          <input
            type="checkbox"
            :checked="chosen.includes(e.id)"
            :aria-label="`We run ${e.name}`"
            @change="first.togglePlay(e.id)"
          />
          <b>{{ e.name }}</b> <span class="soft">{{ e.school ?? '' }}</span>
        </label>
        <p class="soft">{{ about(e.id) }}</p>
        <CallPicture :scheme="e.id" :formation="e.from ?? 'tight-end'" :front="front" side="right" :height="250">
          <template #default="{ resolution }">
            <p v-if="resolution" class="verdict">{{ resolution.verdict }}: {{ verdictSentence(resolution) }}</p>
          </template>
        </CallPicture>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.step {
  display: grid;
  gap: 12px;
}
.families {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.families button {
  color: var(--soft);
  border-bottom: 2px solid transparent;
}
.families button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 650;
  border-color: var(--violet);
}
.schools {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: 14px 24px;
}
li {
  border-top: 2px solid var(--rule);
  padding-top: 6px;
  display: grid;
  gap: 4px;
  align-content: start;
  min-width: 0;
}
li.ours {
  border-color: var(--violet);
}
li > p {
  font-size: 13px;
}
input {
  accent-color: var(--violet);
}
.verdict {
  font-size: 12px;
}
</style>
