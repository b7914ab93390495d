<script setup lang="ts">
import { computed, ref } from 'vue';
import { SettingsSchema, SHIPPED_SETTINGS, type Settings } from '#core/model/settings';
import { usePlaybook } from '~/features/playbook/store';
import { sayValue, type Way } from './ways';

/** One setting as a sentence, with what it changes and what ships. */
const props = defineProps<{ way: Way }>();
const emit = defineEmits<{ change: [settings: Settings] }>();
const playbook = usePlaybook();
const problem = ref('');
const value = computed(() => playbook.settings[props.way.key]);
const chosen = computed(() => props.way.options?.find((o) => o.value === String(value.value)));
const isShipped = computed(() => value.value === SHIPPED_SETTINGS[props.way.key]);
const field = computed(() => `way-${props.way.key}`);

function set(event: Event): void {
  const given = (event.target as HTMLInputElement | HTMLSelectElement).value;
  const parsed = SettingsSchema.safeParse({ ...playbook.settings, [props.way.key]: given });
  problem.value = parsed.success ? '' : `${parsed.error.issues[0]!.message}. It stays as it was.`;
  if (parsed.success) emit('change', parsed.data);
}
</script>

<template>
  <div class="way">
    <p class="line">
      <label :for="field">{{ way.says }}</label>
      <select v-if="way.options" :id="field" class="field" :value="String(value)" @change="set">
        <option v-for="o in way.options" :key="o.value" :value="o.value">{{ o.name }}</option>
      </select>
      <template v-else>
        <input :id="field" v-typed class="field" type="number" step="any" :value="String(value)" @change="set" />
        {{ way.unit }}
      </template>
    </p>
    <p class="soft">
      <template v-if="chosen?.says">{{ chosen.says }}. </template>{{ way.changes }}
      <template v-if="!isShipped"> Shipped: {{ sayValue(way, SHIPPED_SETTINGS[way.key]) }} {{ way.unit }}</template>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.way {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: baseline;
}
label {
  font-weight: 600;
}
input {
  width: 72px;
}
.soft {
  font-size: 13px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
