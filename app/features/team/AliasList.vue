<script setup lang="ts">
import { computed, ref } from 'vue';
import { SettingsSchema, TECHNIQUE_NAMES, type Settings } from '#core/model/settings';
import { usePlaybook } from '~/features/playbook/store';

/** The team's own words for places on the line; an empty one brings the school’s back. */
const emit = defineEmits<{ change: [settings: Settings] }>();
const playbook = usePlaybook();
const problem = ref('');
const count = computed(() => Object.keys(playbook.settings.aliases).length);

function set(technique: string, word: string): void {
  const { [technique]: _old, ...rest } = playbook.settings.aliases;
  const aliases = word.trim() ? { ...rest, [technique]: word.trim() } : rest;
  const parsed = SettingsSchema.safeParse({ ...playbook.settings, aliases });
  problem.value = parsed.success ? '' : `${parsed.error.issues[0]!.message}. It stays as it was.`;
  if (parsed.success) emit('change', parsed.data);
}
</script>

<template>
  <details :open="count > 0">
    <summary class="link">Our own words for places{{ count ? ` (${count})` : '' }}</summary>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="t in TECHNIQUE_NAMES" :key="t">
        <label
          >{{ t }}
          <input
            v-typed
            class="field"
            :value="playbook.settings.aliases[t] ?? ''"
            maxlength="8"
            :placeholder="t"
            @change="set(t, ($event.target as HTMLInputElement).value)"
        /></label>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-size: 13px;
}
ul {
  columns: 5 90px;
  padding-top: 6px;
  font-size: 13px;
}
label {
  display: flex;
  justify-content: space-between;
  gap: 6px;
  padding: 2px 0;
}
input {
  width: 58px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
