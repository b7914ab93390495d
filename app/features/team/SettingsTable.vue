<script setup lang="ts">
import { ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { schoolsOf, TECHNIQUE_SCHOOLS, type TechniqueSchool } from '#core/model/technique-schools';
import { SettingsSchema, SHIPPED_SETTINGS, TECHNIQUE_NAMES, type Settings } from '#core/model/settings';

const emit = defineEmits<{ change: [settings: Settings] }>();
const playbook = usePlaybook();
const problem = ref('');

type Row = {
  key: Exclude<keyof Settings, 'aliases' | 'walkedUpCounts' | 'movers'>;
  says: string;
  unit?: string;
  options?: readonly string[];
  /** What each option says to a man. */
  explains?: Readonly<Record<string, string>>;
};
const ROWS: readonly Row[] = [
  { key: 'standardYards', says: 'A good run gains', unit: 'yards' },
  { key: 'reachLimit', says: 'A lone block is too far from', unit: 'ft to the side' },
  { key: 'zoneReachLimit', says: 'On zone tracks to the play side, from', unit: 'ft' },
  { key: 'pullMargin', says: 'A puller loses the race when later by', unit: 's' },
  { key: 'vacatedDepth', says: 'A linebacker runs through a vacated gap from', unit: 'yards or less' },
  { key: 'throwQuick', says: 'Quick: the ball is out after', unit: 's' },
  { key: 'dropQuick', says: 'Quick: from', unit: 'yards deep' },
  { key: 'throwThree', says: 'Three steps: out after', unit: 's' },
  { key: 'dropThree', says: 'Three steps: from', unit: 'yards' },
  { key: 'throwFive', says: 'Five steps: out after', unit: 's' },
  { key: 'dropFive', says: 'Five steps: from', unit: 'yards' },
  { key: 'throwSeven', says: 'Seven steps: out after', unit: 's' },
  { key: 'dropSeven', says: 'Seven steps: from', unit: 'yards' },
  { key: 'throwBoot', says: 'Boot: out after', unit: 's' },
  { key: 'dropBoot', says: 'Boot: from', unit: 'yards' },
  { key: 'gunDepth', says: 'In the gun he stands at', unit: 'yards' },
  { key: 'pistolDepth', says: 'In the pistol at', unit: 'yards' },
  { key: 'levelOfPlay', says: 'We play', options: ['youth', 'school', 'adult'] },
  { key: 'strength', says: 'Strength is', options: ['tight-end', 'field', 'called'] },
  { key: 'box', says: 'The box is measured from the', options: ['tackle', 'tight-end'] },
  { key: 'mike', says: 'Of two or four, the Mike is the one', options: ['strength', 'nearest', 'weak'] },
  ...(Object.keys(TECHNIQUE_SCHOOLS) as TechniqueSchool[]).map((key) => ({
    key,
    says: TECHNIQUE_SCHOOLS[key].decides,
    options: schoolsOf(key),
    explains: TECHNIQUE_SCHOOLS[key].schools as Record<string, string>,
  })),
  { key: 'techniques', says: 'Techniques are said', options: ['standard', 'shade-nose', 'seven-inside', 'seven-gap'] },
];

/** A word of our own for a place; an empty one brings the school’s back. */
function setAlias(technique: string, word: string): void {
  const { [technique]: _old, ...rest } = playbook.settings.aliases;
  const aliases = word.trim() ? { ...rest, [technique]: word.trim() } : rest;
  const parsed = SettingsSchema.safeParse({ ...playbook.settings, aliases });
  problem.value = parsed.success ? '' : `${parsed.error.issues[0]!.message}. It stays as it was.`;
  if (parsed.success) emit('change', parsed.data);
}

function set(key: Row['key'] | 'walkedUpCounts', value: string): void {
  const parsed = SettingsSchema.safeParse({ ...playbook.settings, [key]: value });
  problem.value = parsed.success
    ? ''
    : `${ROWS.find((r) => r.key === key)?.says ?? 'Walked-up men'}: ${parsed.error.issues[0]!.message}. It stays as it was.`;
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
            <select
              v-if="r.options"
              :value="playbook.settings[r.key]"
              :aria-label="r.says"
              @change="set(r.key, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="o in r.options" :key="o">{{ o }}</option>
            </select>
            <template v-else
              ><input
                :value="playbook.settings[r.key]"
                type="number"
                step="0.1"
                :aria-label="r.says"
                @change="set(r.key, ($event.target as HTMLInputElement).value)"
              />
              {{ r.unit }}</template
            >
          </td>
          <td class="soft">
            {{ r.explains?.[String(playbook.settings[r.key])] ?? '' }}
            {{ playbook.settings[r.key] === SHIPPED_SETTINGS[r.key] ? '' : `shipped: ${SHIPPED_SETTINGS[r.key]}` }}
          </td>
        </tr>
        <tr>
          <th scope="row">A walked-up man counts for loaded or light</th>
          <td>
            <select
              :value="String(playbook.settings.walkedUpCounts)"
              aria-label="A walked-up man counts for loaded or light"
              @change="set('walkedUpCounts', ($event.target as HTMLSelectElement).value)"
            >
              <option value="true">yes</option>
              <option value="false">no</option>
            </select>
          </td>
          <td />
        </tr>
      </tbody>
    </table>
    <details>
      <summary class="link">
        Our own words for techniques{{
          Object.keys(playbook.settings.aliases).length ? ` (${Object.keys(playbook.settings.aliases).length})` : ''
        }}
      </summary>
      <ul>
        <li v-for="t in TECHNIQUE_NAMES" :key="t">
          <label
            >{{ t }}
            <input
              :value="playbook.settings.aliases[t] ?? ''"
              maxlength="8"
              :placeholder="t"
              @change="setAlias(t, ($event.target as HTMLInputElement).value)"
          /></label>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  align-content: start;
}
table {
  border-collapse: collapse;
  border-top: 2px solid var(--ink);
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 3px 8px 3px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
input,
select {
  font: inherit;
  padding: 2px 6px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--rule);
  border-radius: 3px;
}
input {
  width: 68px;
}
summary {
  cursor: pointer;
  font-size: 13px;
}
ul {
  columns: 5;
  padding-top: 6px;
  font-size: 13px;
}
li label {
  display: flex;
  justify-content: space-between;
  gap: 6px;
  padding: 2px 0;
}
li input {
  width: 58px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
