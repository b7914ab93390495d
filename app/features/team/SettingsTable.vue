<script setup lang="ts">
import { ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { SettingsSchema, SHIPPED_SETTINGS, type Settings } from '#core/model/settings';

const emit = defineEmits<{ change: [settings: Settings] }>();
const playbook = usePlaybook();
const problem = ref('');

type Row = { key: keyof Settings; says: string; unit?: string; options?: readonly string[] };
const ROWS: readonly Row[] = [
  { key: 'standardYards', says: 'A good run gains', unit: 'yards' }, { key: 'reachLimit', says: 'A lone block is too far from', unit: 'ft to the side' },
  { key: 'zoneReachLimit', says: 'On zone tracks to the play side, from', unit: 'ft' }, { key: 'pullMargin', says: 'A puller loses the race when later by', unit: 's' },
  { key: 'vacatedDepth', says: 'A linebacker runs through a vacated gap from', unit: 'yards or less' },
  { key: 'strength', says: 'Strength is', options: ['tight-end', 'field', 'called'] }, { key: 'box', says: 'The box is measured from the', options: ['tackle', 'tight-end'] },
  { key: 'mike', says: 'Of two or four, the Mike is the one', options: ['strength', 'nearest', 'weak'] }, { key: 'techniques', says: 'Techniques are said', options: ['standard', 'shade-nose', 'seven-inside', 'seven-gap'] },
];

function set(key: keyof Settings, value: string): void {
  const parsed = SettingsSchema.safeParse({ ...playbook.settings, [key]: value });
  problem.value = parsed.success ? '' : `${ROWS.find((r) => r.key === key)!.says}: ${parsed.error.issues[0]!.message}. It stays as it was.`;
  if (parsed.success) emit('change', parsed.data);
}
</script>

<template>
  <section>
    <h2>Limits and schools</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <table>
      <tbody>
        <tr v-for="r in ROWS" :key="r.key">
          <th scope="row">{{ r.says }}</th>
          <td>
            <select v-if="r.options" :value="playbook.settings[r.key]" :aria-label="r.says" @change="set(r.key, ($event.target as HTMLSelectElement).value)"><option v-for="o in r.options" :key="o">{{ o }}</option></select>
            <template v-else><input :value="playbook.settings[r.key]" type="number" step="0.1" :aria-label="r.says" @change="set(r.key, ($event.target as HTMLInputElement).value)"> {{ r.unit }}</template>
          </td>
          <td class="soft">{{ playbook.settings[r.key] === SHIPPED_SETTINGS[r.key] ? '' : `shipped: ${SHIPPED_SETTINGS[r.key]}` }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section { display: grid; gap: 6px; align-content: start; }
table { border-collapse: collapse; border-top: 2px solid var(--ink); }
th, td { text-align: left; font-weight: 400; padding: 3px 8px 3px 0; border-bottom: 1px solid var(--rule); font-size: 13px; }
input, select { font: inherit; padding: 2px 6px; background: var(--sheet); color: var(--ink); border: 1px solid var(--rule); border-radius: 3px; }
input { width: 68px; }
.problem { color: var(--broken); font-weight: 600; }
</style>
