<script setup lang="ts">
import { reactive, ref } from 'vue';
import { CONTACT_IDS, CONTACTS, type Drill } from '#core/model/drill';
import { FAULT_IDS, faultName } from '#core/model/faults';
import { blockWord } from '#core/plan/say-number';
import { BLOCKS } from '#core/vocabulary/index';
import { shortName } from '~/features/playbook/keep';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { drillOfText, textOfDrill } from './form';

/** A drill the program's own way: over the one it is made from, or beside it under another name. */
const props = defineProps<{ drill: Drill }>();
const emit = defineEmits<{ kept: [id: string]; leave: [] }>();
const playbook = usePlaybook();
const problem = ref('');
const attempt = attempting(problem, 'What you typed is still here.');
const text = reactive(textOfDrill(props.drill));
const chosen = reactive({
  contact: props.drill.contact,
  blocks: [...props.drill.blocks],
  faults: [...props.drill.faults],
  units: [...props.drill.units],
});
const UNITS = ['tackles', 'guards', 'centre', 'tight ends and wings', 'backs', 'receivers'];
const faults = [...FAULT_IDS, ...(playbook.program.faults ?? []).map((f) => f.id)];

async function keep(beside: boolean): Promise<void> {
  const id = beside ? shortName(text.name) : props.drill.id;
  const read = drillOfText(props.drill, id, text, chosen);
  problem.value = read.problem;
  if (!read.drill) return;
  const json = JSON.stringify(read.drill, null, 1);
  if (await attempt(() => playbook.add([{ shelf: 'drills', text: json }], !beside))) emit('kept', id);
}
</script>

<template>
  <form class="page-step" aria-label="Drill" @submit.prevent="keep(false)">
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <label>Name <input v-model="text.name" class="field wide" maxlength="60" required /></label>
    <label
      >What it is for <textarea v-model="text.purpose" class="field wide" rows="2" maxlength="300" required />
    </label>
    <label
      >From easy to hard, a line each <textarea v-model="text.ladder" class="field wide" rows="4" required />
    </label>
    <label>Bring <input v-model="text.equipment" class="field wide" placeholder="with commas between" /></label>
    <p class="numbers">
      <label
        >Men a rep <input v-model.number="text.each" class="field" type="number" min="1" max="11" required
      /></label>
      <label>Others <input v-model.number="text.extras" class="field" type="number" min="0" max="11" required /></label>
      <label
        >Groups at once
        <input v-model.number="text.atOnce" class="field" type="number" min="1" max="12" placeholder="any"
      /></label>
      <label
        >Reps a minute
        <input v-model.number="text.pace" class="field" type="number" step="any" min="0.1" max="20" required
      /></label>
      <label
        >Minutes, least <input v-model.number="text.least" class="field" type="number" min="1" max="30" required
      /></label>
      <label>usual <input v-model.number="text.usual" class="field" type="number" min="1" max="30" required /></label>
      <label
        >Contact
        <select v-model="chosen.contact" class="field">
          <option v-for="c in CONTACT_IDS" :key="c" :value="c">{{ CONTACTS[c].name }}</option>
        </select></label
      >
    </p>
    <fieldset>
      <legend>For</legend>
      <label v-for="u in UNITS" :key="u"><input v-model="chosen.units" type="checkbox" :value="u" /> {{ u }}</label>
    </fieldset>
    <fieldset>
      <legend>Teaches</legend>
      <label v-for="(_, b) in BLOCKS" :key="b"
        ><input v-model="chosen.blocks" type="checkbox" :value="b" /> {{ blockWord(b) }}</label
      >
    </fieldset>
    <fieldset>
      <legend>Mends</legend>
      <label v-for="f in faults" :key="f"
        ><input v-model="chosen.faults" type="checkbox" :value="f" /> {{ faultName(f, playbook.program.faults) }}</label
      >
    </fieldset>
    <p class="numbers">
      <button class="strong" type="submit">Keep it</button>
      <button
        class="plain link"
        type="button"
        :disabled="shortName(text.name) === drill.id || text.name === drill.name"
        @click="keep(true)"
      >
        Keep it beside the other, under its new name
      </button>
      <button class="plain link" type="button" @click="emit('leave')">Leave it</button>
    </p>
  </form>
</template>

<style scoped>
.wide {
  display: block;
  width: 100%;
  max-width: 620px;
}
textarea {
  resize: vertical;
}
.numbers,
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.numbers input {
  width: 62px;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 6px 0 0;
  margin: 0;
  font-size: 13px;
  font-variation-settings: var(--narrow);
}
legend {
  font-weight: 650;
}
</style>
