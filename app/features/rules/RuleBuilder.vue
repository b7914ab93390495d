<script setup lang="ts">
import { computed } from 'vue';
import { declaredIn, plainAction, plainPhrase, plainSentence } from '#core/language/build';
import { printTree, sayHead, sayPhrase } from '#core/language/print';
import { readTree } from '#core/language/read';
import type { Action, Condition, Phrase, SchemeTree, Sentence, Sheet } from '#core/language/tree';
import ConditionRow from './ConditionRow.vue';
import PhraseChip from './PhraseChip.vue';

/** The same tree as the text, edited sentence by sentence. */
const props = defineProps<{ tree: SchemeTree }>();
const emit = defineEmits<{ put: [tree: SchemeTree] }>();
const declared = computed(() => declaredIn(props.tree));

const putSheet = (s: number, sheet: Sheet): void =>
  emit('put', { ...props.tree, sheets: props.tree.sheets.map((old, i) => (i === s ? sheet : old)) });
const putSentences = (s: number, sentences: readonly Sentence[]): void =>
  putSheet(s, { ...props.tree.sheets[s]!, sentences });
const putSentence = (s: number, i: number, sentence: Sentence): void =>
  putSentences(
    s,
    props.tree.sheets[s]!.sentences.map((old, k) => (k === i ? sentence : old)),
  );
const putAction = (s: number, i: number, a: number, action: Action): void => {
  const sentence = props.tree.sheets[s]!.sentences[i]!;
  putSentence(s, i, { ...sentence, actions: sentence.actions.map((old, k) => (k === a ? action : old)) });
};

function addSentence(s: number): void {
  const { sentences } = props.tree.sheets[s]!;
  const always = sentences.findIndex((x) => x.when === null);
  const fresh = plainSentence(declared.value, { op: 'is', phrase: plainPhrase('condition', declared.value) });
  putSentences(
    s,
    always < 0 ? [...sentences, fresh] : [...sentences.slice(0, always), fresh, ...sentences.slice(always)],
  );
}

function move(s: number, i: number, by: number): void {
  const sentences = [...props.tree.sheets[s]!.sentences];
  const [taken] = sentences.splice(i, 1);
  sentences.splice(i + by, 0, taken!);
  putSentences(s, sentences);
}

const remove = (s: number, i: number): void =>
  putSentences(
    s,
    props.tree.sheets[s]!.sentences.filter((_, k) => k !== i),
  );
const when = (s: number, i: number, condition: Condition | null): void =>
  putSentence(s, i, { ...props.tree.sheets[s]!.sentences[i]!, when: condition });
const startWhen = (s: number, i: number): void =>
  when(s, i, { op: 'is', phrase: plainPhrase('condition', declared.value) });
const goesOn = (s: number, i: number, a: number, action: Action): void =>
  putAction(s, i, a, { ...action, then: action.then ? null : climb() });
const climb = (): Phrase => ({ ...plainPhrase('block', declared.value), word: 'climb', form: 0, slots: {} });
const HEADS = [
  'playside tackle',
  'playside guard',
  'centre',
  'backside guard',
  'backside tackle',
  'playside tight end',
  'backside tight end',
  'playside wing',
  'H',
  'fullback',
  'back',
  'last man playside',
  'last man backside',
  'every man on the line',
  'quarterback',
  'left by design',
];
const missing = computed(() => HEADS.filter((h) => !props.tree.sheets.some((s) => s.heads.map(sayHead).includes(h))));
/** Rules for a man who has none yet. */
function addSheet(head: string): void {
  const { tree } = readTree(
    `${printTree(props.tree)}\n${head}\n  otherwise: ${head === 'quarterback' || head === 'left by design' ? 'leave the end man on the line backside' : 'base the man on me'}\n`,
  );
  if (tree?.kind === 'scheme') emit('put', tree);
}
const addElse = (s: number, i: number): void => {
  const sentence = props.tree.sheets[s]!.sentences[i]!;
  putSentence(s, i, { ...sentence, actions: [...sentence.actions, plainAction(declared.value)] });
};
</script>

<template>
  <div class="builder" role="group" aria-label="Rules as sentences">
    <section v-for="(sheet, s) in tree.sheets" :key="s">
      <h3>{{ sheet.heads.map(sayHead).join(', ') }}</h3>
      <ol>
        <li v-for="(sentence, i) in sheet.sentences" :key="i">
          <p class="said">
            <template v-if="sentence.when"
              ><span class="joint">when</span>{{ ' ' }}
              <ConditionRow :condition="sentence.when" :declared="declared" @change="when(s, i, $event)"
            /></template>
            <button v-else type="button" class="plain joint" title="Give it a condition" @click="startWhen(s, i)">
              {{ i === 0 ? 'always' : 'otherwise' }}
            </button>
            <span class="joint">: </span>
            <template v-for="(action, a) in sentence.actions" :key="a">
              <span v-if="a" class="joint">, else </span>
              <PhraseChip
                :phrase="action.block"
                :declared="declared"
                @change="(p) => putAction(s, i, a, { ...action, block: p })"
              />
              <template v-if="action.then"
                ><span class="joint">, then </span
                ><PhraseChip
                  :phrase="action.then"
                  :declared="declared"
                  @change="(p) => putAction(s, i, a, { ...action, then: p })"
              /></template>
              <button type="button" class="plain small" @click="goesOn(s, i, a, action)">
                {{ action.then ? '− then' : '+ then' }}
              </button>
            </template>
            <button type="button" class="plain small" @click="addElse(s, i)">+ else</button>
            <span v-for="(f, n) in sentence.followUps" :key="n" class="soft"
              >; if {{ sayPhrase(f.event) }}: {{ sayPhrase(f.reaction) }}</span
            >
          </p>
          <span class="acts">
            <button type="button" class="plain small" :disabled="i === 0" aria-label="Earlier" @click="move(s, i, -1)">
              ↑
            </button>
            <button
              type="button"
              class="plain small"
              :disabled="i === sheet.sentences.length - 1"
              aria-label="Later"
              @click="move(s, i, 1)"
            >
              ↓
            </button>
            <button type="button" class="plain small" aria-label="Take this sentence out" @click="remove(s, i)">
              ×
            </button>
          </span>
        </li>
      </ol>
      <button type="button" class="plain link add" @click="addSentence(s)">Add a sentence</button>
    </section>
    <label v-if="missing.length" class="add"
      >Rules for
      <select :value="''" @change="addSheet(($event.target as HTMLSelectElement).value)">
        <option value="">another man …</option>
        <option v-for="h in missing" :key="h">{{ h }}</option>
      </select></label
    >
  </div>
</template>

<style scoped>
.builder {
  overflow: auto;
  padding: 10px 14px 40px;
  background: var(--sheet);
  height: 100%;
}
section {
  padding: 8px 0 12px;
  border-bottom: 1px solid var(--rule);
}
h3 {
  margin: 0 0 4px;
  font-size: 14px;
  font-weight: 750;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  padding: 3px 0;
  font-size: 13.5px;
}
.said {
  line-height: 1.75;
}
.joint {
  color: var(--violet);
  font-weight: 650;
}
.small {
  font-size: 11.5px;
  color: var(--soft);
  padding: 0 3px;
}
.small:hover:not(:disabled) {
  color: var(--violet);
}
.small:disabled {
  opacity: 0.3;
}
.acts {
  opacity: 0.55;
  white-space: nowrap;
}
li:hover .acts,
li:focus-within .acts {
  opacity: 1;
}
.add {
  font-size: 12.5px;
}
select {
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 2px 4px;
}
</style>
