<script setup lang="ts">
import { computed, ref } from 'vue';
import { FAULTS, FAULT_PARTS, type OwnFault } from '#core/model/faults';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { attempting } from '~/features/session/attempt';
import { usePlaybook } from '~/features/playbook/store';

/** Faults the program tags beside those that ship: with the blocks they are named for they stand first on the keys. */
defineProps<{ disabled: boolean }>();
const playbook = usePlaybook();
const problem = ref('');
const attempt = attempting(problem);
const own = computed(() => playbook.program.faults ?? []);
const name = ref('');
const part = ref('finish');
const block = ref('');
const BLOCK_IDS = Object.keys(BLOCKS) as BlockId[];

const idOf = (said: string): string =>
  said
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '');
const save = (faults: OwnFault[]): Promise<boolean> => attempt(() => playbook.changeProgram({ faults }));
async function add(): Promise<void> {
  const id = idOf(name.value);
  if (id.length < 2) return void (problem.value = 'name: a fault is named with letters.');
  if (id in FAULTS || own.value.some((f) => f.id === id))
    return void (problem.value = `There is “${name.value.trim()}” already.`);
  const blocks = block.value ? [block.value] : [];
  if (await save([...own.value, { id, name: name.value.trim(), part: part.value, blocks }])) name.value = '';
}
</script>

<template>
  <div class="own">
    <h2>Faults of our own</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="f in own" :key="f.id">
        <b>{{ f.name }}</b>
        <span class="soft"
          >{{ f.part
          }}{{
            f.blocks.length
              ? `, with ${f.blocks
                  .map((b) => BLOCKS[b as BlockId]?.name ?? b)
                  .join(', ')
                  .toLowerCase()}`
              : ''
          }}</span
        >
        <button v-if="!disabled" class="plain link" type="button" @click="save(own.filter((o) => o.id !== f.id))">
          offer it no more
        </button>
      </li>
    </ul>
    <form v-if="!disabled" @submit.prevent="add">
      <input
        v-model="name"
        class="field"
        maxlength="40"
        required
        placeholder="looked up too soon"
        aria-label="Name of the fault"
      />
      <select v-model="part" class="field" aria-label="Part of the block">
        <option v-for="p in FAULT_PARTS" :key="p" :value="p">{{ p }}</option>
      </select>
      <select v-model="block" class="field" aria-label="First on the keys with">
        <option value="">with any block</option>
        <option v-for="b in BLOCK_IDS" :key="b" :value="b">first with {{ BLOCKS[b].name.toLowerCase() }}</option>
      </select>
      <button class="plain link" type="submit">add it</button>
    </form>
  </div>
</template>

<style scoped>
.own {
  display: grid;
  gap: 6px;
  padding-top: 10px;
}
li {
  display: flex;
  gap: 10px;
  font-size: 13px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
}
.problem {
  color: var(--broken);
}
</style>
