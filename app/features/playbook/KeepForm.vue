<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { usePlaybook } from './store';
import type { BookShelf } from '#core/calls/playbook';
import { useSession } from '~/features/session/store';
import { shortName } from './keep';

/** Names a text and keeps it in the program's book; what is being kept is the shelf's store's business. */
const props = defineProps<{
  shelf: BookShelf;
  id: string;
  wrong: boolean;
  example: string;
  /** Whose it is may be said: fronts belong to an opponent. */
  opponents?: readonly string[];
}>();
defineEmits<{ save: [id: string, name: string, opponent: string | null]; retire: [] }>();

const playbook = usePlaybook();
const session = useSession();
const name = ref('');
const opponent = ref('');
const document = computed(() => playbook.own(props.shelf, props.id));
watch(
  () => [props.id, document.value?.id],
  () => {
    name.value = document.value ? playbook.book.name(props.shelf, props.id) : '';
    opponent.value = document.value?.opponent ?? '';
  },
  { immediate: true },
);
const short = computed(() => shortName(name.value));
</script>

<template>
  <form
    v-if="session.member?.role === 'coach'"
    @submit.prevent="$emit('save', short, name.trim(), opponent.trim() || null)"
  >
    <h2>Keep it</h2>
    <label>Name <input v-model="name" required maxlength="60" :placeholder="example" /></label>
    <template v-if="opponents">
      <label
        >Opponent <input v-model="opponent" maxlength="60" list="opponents" placeholder="whose front it is"
      /></label>
      <datalist id="opponents"><option v-for="o in opponents" :key="o" :value="o" /></datalist>
    </template>
    <p>
      <button class="plain link" type="submit" :disabled="wrong || !short">
        {{ playbook.own(shelf, short) ? 'Save over it' : 'Save' }}
      </button>
      <button v-if="document" class="plain link" type="button" @click="$emit('retire')">Retire</button>
    </p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 6px;
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}
label {
  display: grid;
  grid-template-columns: 74px 1fr;
  align-items: center;
  color: var(--soft);
}
input {
  font: inherit;
  padding: 2px 7px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  min-width: 0;
}
p {
  display: flex;
  gap: 14px;
}
button:disabled {
  opacity: 0.45;
  cursor: default;
}
</style>
