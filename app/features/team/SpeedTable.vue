<script setup lang="ts">
import { ref } from 'vue';
import { MOVERS } from '#core/kinematics/speeds';
import { SettingsSchema, type Settings } from '#core/model/settings';
import { usePlaybook } from '~/features/playbook/store';

const emit = defineEmits<{ change: [settings: Settings] }>();
const playbook = usePlaybook();
const problem = ref('');
const SEATS = ['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'H', 'F', 'B'] as const;
const PARTS = [
  { key: 'delay', name: 'off the ball, s' },
  { key: 'acceleration', name: 'gathers, ft/s²' },
  { key: 'topSpeed', name: 'top, ft/s' },
] as const;
const usual = (seat: string) => (seat === 'B' || seat === 'F' || seat === 'H' ? MOVERS.back : MOVERS.lineman);

/** A man's own figures; all three empty brings the shipped ones of his level back. */
function set(seat: string, part: (typeof PARTS)[number]['key'], value: string): void {
  const { [seat]: own, ...rest } = playbook.settings.movers;
  const next = value.trim() === '' ? rest : { ...rest, [seat]: { ...usual(seat), ...own, [part]: value } };
  const parsed = SettingsSchema.safeParse({ ...playbook.settings, movers: next });
  problem.value = parsed.success ? '' : `${seat}, ${part}: ${parsed.error.issues[0]!.message}. It stays as it was.`;
  if (parsed.success) emit('change', parsed.data);
}
</script>

<template>
  <section>
    <h2>How fast our men are</h2>
    <p class="soft">
      The shipped speeds are assumptions. What you measure on your own film stands here and counts when a play is run in
      time.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <table>
      <thead>
        <tr>
          <td />
          <th v-for="p in PARTS" :key="p.key" scope="col">{{ p.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="seat in SEATS" :key="seat">
          <th scope="row">{{ seat }}</th>
          <td v-for="p in PARTS" :key="p.key">
            <input
              v-typed
              type="number"
              step="0.01"
              :value="playbook.settings.movers[seat]?.[p.key] ?? ''"
              :placeholder="String(usual(seat)[p.key])"
              :aria-label="`${seat}: ${p.name}`"
              @change="set(seat, p.key, ($event.target as HTMLInputElement).value)"
            />
          </td>
        </tr>
      </tbody>
    </table>
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
  padding: 2px 8px 2px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
tbody th {
  font-weight: 650;
}
input {
  font: inherit;
  width: 82px;
  padding: 1px 6px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--rule);
  border-radius: 3px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
