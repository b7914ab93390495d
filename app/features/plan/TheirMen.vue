<script setup lang="ts">
import { ref } from 'vue';
import { TheirManSchema, type TheirMan } from '#core/model/week-plan';
import { usePlan } from './store';

/** Who of theirs wears which number, and what he is known for: it stands on his page and on the scout team's cards. */
const plan = usePlan();
const problem = ref('');
function change(man: TheirMan, part: Partial<Record<'number' | 'note', string>>): void {
  const number = part.number === undefined ? man.number : part.number.trim() === '' ? null : Number(part.number);
  const read = TheirManSchema.safeParse({ ...man, number, note: part.note ?? man.note });
  problem.value = read.success ? '' : `Their ${man.id}: ${read.error.issues[0]!.message}.`;
  if (read.success) void plan.changeTheirs(read.data);
}
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <section aria-label="Their men">
    <h2>Their men</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="m in plan.theirs" :key="m.id">
        <b>{{ m.id }}</b>
        <input
          v-typed
          class="field number"
          inputmode="numeric"
          maxlength="2"
          placeholder="#"
          :aria-label="`Number of their ${m.id}`"
          :value="m.number ?? ''"
          @change="change(m, { number: valueOf($event) })"
        />
        <input
          v-typed
          class="field"
          maxlength="80"
          placeholder="known for"
          :aria-label="`What their ${m.id} is known for`"
          :value="m.note"
          @change="change(m, { note: valueOf($event) })"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  padding: 8px 20px 14px;
  border-bottom: 1px solid var(--rule);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 6px 28px;
  padding-top: 6px;
}
li {
  display: grid;
  grid-template-columns: 34px 52px minmax(0, 1fr);
  gap: 8px;
  align-items: center;
}
.number {
  text-align: center;
}
</style>
