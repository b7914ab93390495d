<script setup lang="ts">
import { isCondition, plainPhrase, type Declared } from '#core/language/build';
import type { Condition, Phrase } from '#core/language/tree';
import PhraseChip from './PhraseChip.vue';

const props = defineProps<{ condition: Condition; declared: Declared; nested?: boolean }>();
const emit = defineEmits<{ change: [condition: Condition | null] }>();

const phraseOf = (c: Condition): Phrase | null =>
  c.op === 'is' ? c.phrase : c.op === 'not' && c.part.op === 'is' ? c.part.phrase : null;
const plain = (): Condition => ({ op: 'is', phrase: plainPhrase('condition', props.declared) });

function join(op: 'and' | 'or'): void {
  const { condition } = props;
  const parts = condition.op === op ? [...condition.parts, plain()] : [condition, plain()];
  emit('change', { op, parts });
}

function setPart(i: number, part: Condition | null): void {
  const { condition } = props;
  if (condition.op !== 'and' && condition.op !== 'or') return;
  const parts = condition.parts.flatMap((p, k) => (k === i ? (part ? [part] : []) : [p]));
  emit('change', parts.length === 0 ? null : parts.length === 1 ? parts[0]! : { ...condition, parts });
}
</script>

<template>
  <span class="condition">
    <PhraseChip
      v-if="phraseOf(condition)"
      :phrase="phraseOf(condition)!"
      :denied="condition.op === 'not'"
      :declared="declared"
      @change="(p, denied) => emit('change', isCondition(p, denied))"
    />
    <template v-else-if="condition.op === 'not'"
      >not (<ConditionRow
        :condition="condition.part"
        :declared="declared"
        nested
        @change="(p) => emit('change', p && { op: 'not', part: p })"
      />)</template
    >
    <template v-else-if="condition.op === 'and' || condition.op === 'or'">
      <template v-for="(part, i) in condition.parts" :key="i">
        <span v-if="i" class="joint">{{ condition.op }}</span><template v-if="part.op === 'or'">(</template
        ><ConditionRow :condition="part" :declared="declared" nested @change="setPart(i, $event)" /><template
          v-if="part.op === 'or'"
          >)</template
        >
      </template>
    </template>
    <button
      v-if="nested"
      type="button"
      class="plain small"
      aria-label="Take this condition out"
      @click="emit('change', null)"
    >
      ×
    </button>
    <span v-else class="add"
      ><button type="button" class="plain small" @click="join('and')">+ and</button>{{ ' ' }}
      <button type="button" class="plain small" @click="join('or')">+ or</button>{{ ' ' }}
      <button type="button" class="plain small" @click="emit('change', null)">always</button></span
    >
  </span>
</template>

<style scoped>
.condition {
  display: inline;
}
.joint {
  color: var(--violet);
  font-weight: 650;
  margin: 0 3px;
}
.small {
  font-size: 11.5px;
  color: var(--soft);
  padding: 0 2px;
}
.small:hover {
  color: var(--violet);
}
.add {
  margin-left: 6px;
}
</style>
