<script setup lang="ts">
import { computed, ref } from 'vue';
import { formsOf, leafValues, phraseOf, type Declared } from '#core/language/build';
import { sayPhrase } from '#core/language/print';
import { isPhraseKind, LIST_LEAVES, TEMPLATES, type Piece, type Template } from '#core/language/templates';
import type { Phrase, SlotValue } from '#core/language/tree';

/** A phrase whose words can be changed without typing: each slot is a chip of its own, and the phrase as a whole has other forms. */
const props = defineProps<{ phrase: Phrase; denied?: boolean; declared: Declared; subject?: boolean }>();
const emit = defineEmits<{ change: [phrase: Phrase, denied: boolean] }>();

const open = ref(false);
const filter = ref('');
const template = computed<Template>(
  () =>
    TEMPLATES[props.phrase.kind].find(
      (t) => t.word === props.phrase.word && t.form === props.phrase.form && t.denies === (props.denied ?? false),
    ) ?? TEMPLATES[props.phrase.kind].find((t) => t.word === props.phrase.word)!,
);
const forms = computed(() =>
  formsOf(props.phrase.kind, props.declared)
    .map((t) => ({
      t,
      said: sayPhrase(phraseOf(t, props.phrase.kind, props.declared, props.phrase), { denied: t.denies }),
    }))
    .filter((f) => f.said.toLowerCase().includes(filter.value.toLowerCase()))
    .slice(0, 40),
);

type Slot = Extract<Piece, { is: 'slot' }>;
const isPhrase = (value: SlotValue | undefined): value is Phrase => typeof value === 'object' && 'word' in value;
const wordOf = (piece: Piece): string =>
  piece.is === 'word'
    ? piece.text
    : piece.is === 'be'
      ? Object.values(props.phrase.slots).some((v) => isPhrase(v) && v.word === 'me')
        ? 'am'
        : 'is'
      : '';
const leafOf = (piece: Slot): string => {
  const v = props.phrase.slots[piece.name];
  return Array.isArray(v) ? v.join(' or ') : typeof v === 'string' ? v : '';
};

function choose(t: Template): void {
  open.value = false;
  filter.value = '';
  emit('change', phraseOf(t, props.phrase.kind, props.declared, props.phrase), t.denies);
}

function setSlot(name: string, value: SlotValue): void {
  emit('change', { ...props.phrase, slots: { ...props.phrase.slots, [name]: value } }, props.denied ?? false);
}

function setLeaf(piece: Slot, value: string): void {
  if (value) return setSlot(piece.name, LIST_LEAVES.has(piece.kind) ? [value] : value);
  const { [piece.name]: _gone, ...slots } = props.phrase.slots;
  emit('change', { ...props.phrase, slots }, props.denied ?? false);
}

function close(event: FocusEvent): void {
  if (!(event.currentTarget as HTMLElement).contains(event.relatedTarget as Node | null)) open.value = false;
}
</script>

<template>
  <span class="chip" @focusout="close">
    <template v-for="(piece, i) in template.pieces" :key="i">
      <template v-if="piece.is === 'slot'">
        <PhraseChip
          v-if="isPhraseKind(piece.kind) && isPhrase(phrase.slots[piece.name])"
          :phrase="phrase.slots[piece.name] as Phrase"
          :declared="declared"
          :subject="piece.subject"
          @change="(p) => setSlot(piece.name, p)"
        />
        <select
          v-else-if="!isPhraseKind(piece.kind)"
          :value="leafOf(piece)"
          :aria-label="piece.name"
          :class="{ empty: !leafOf(piece) }"
          @change="setLeaf(piece, ($event.target as HTMLSelectElement).value)"
        >
          <option v-if="piece.optional" value="">any way</option>
          <option v-if="leafOf(piece).includes(' or ')" :value="leafOf(piece)">{{ leafOf(piece) }}</option>
          <option v-for="v in leafValues(piece.kind, declared)" :key="v.value" :value="v.value">{{ v.said }}</option>
        </select>
      </template>
      <button v-else type="button" class="plain word" :aria-expanded="open" @click="open = !open">
        {{ subject && i === 0 && phrase.word === 'me' ? 'I' : wordOf(piece) }}
      </button>
    </template>
    <span v-for="(q, n) in phrase.qualifiers" :key="n" class="soft">{{ sayPhrase(q) }}</span>
    <span v-if="open" class="menu">
      <input
        v-model="filter"
        type="search"
        placeholder="say it another way"
        aria-label="Other ways to say it"
        @keydown.esc="open = false"
      />
      <button
        v-for="f in forms"
        :key="`${f.t.word} ${f.t.form} ${f.t.denies}`"
        type="button"
        class="plain"
        :class="{ on: f.t === template }"
        @click="choose(f.t)"
      >
        {{ f.said }}
      </button>
    </span>
  </span>
</template>

<style scoped>
.chip {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 1px 4px;
  align-items: baseline;
  border-bottom: 1px solid var(--violet);
  position: relative;
  margin: 0 1px;
}
.chip .chip {
  border-bottom: 0;
  margin: 0;
}
.word:hover {
  color: var(--violet);
}
select {
  font: inherit;
  font-weight: 600;
  border: 0;
  background: transparent;
  color: var(--violet);
  padding: 0;
  max-width: 130px;
}
select option {
  background: var(--sheet);
  color: var(--ink);
}
select.empty {
  color: var(--soft);
  font-weight: 400;
}
.menu {
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 10;
  display: grid;
  gap: 1px;
  width: 340px;
  max-height: 260px;
  overflow: auto;
  padding: 6px;
  background: var(--sheet);
  border: 1px solid var(--soft);
}
.menu input {
  font: inherit;
  padding: 2px 6px;
  background: var(--ground);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  margin-bottom: 4px;
}
.menu button {
  padding: 3px 6px;
}
.menu button:hover,
.menu button:focus-visible {
  background: var(--wash);
}
.menu .on {
  color: var(--violet);
  font-weight: 650;
}
</style>
