<script setup lang="ts">
import { computed, nextTick, ref, type Ref } from 'vue';
import { DRAWN, DRAWN_KINDS, type KeptNote } from '#core/model/film-note';
import type { SnapView } from '#core/model/snap-view';
import { WRITING_HANDS } from './keys';
import type { Writing } from './writing';

/** The note in hand, and what is written on this snap's film. */
const props = defineProps<{
  writing: Writing;
  notes: readonly KeptNote[];
  clips: SnapView['clips'];
  /** The frame on show; read here alone, so that a step of the film works out nothing else anew. */
  now: { readonly frame: Readonly<Ref<number>> };
  readOnly: boolean;
}>();
const emit = defineEmits<{ seek: [clip: number, frame: number]; picture: []; captions: [] }>();

const field = ref<HTMLInputElement | null>(null);
async function words(): Promise<void> {
  await nextTick();
  field.value?.focus();
}
defineExpose({ words });
const hand = computed(() => props.writing.inHand.value);
const frame = computed(() => props.now.frame.value);
const capOf = (says: string): string => WRITING_HANDS.find((h) => h.says === says)!.cap;
const missing = computed(() => DRAWN[props.writing.tool.value] - props.writing.places.value.length);
const asks = computed(() => {
  const tool = props.writing.tool.value;
  if (DRAWN[tool] === 1) return 'click where';
  if (missing.value === DRAWN[tool])
    return `click ${DRAWN[tool]} places${tool === 'angle' ? ', its corner second' : ''}`;
  return `${missing.value} more`;
});
const angleOf = (note: KeptNote): string => props.clips.find((c) => c.id === note.clipId)?.angle ?? '';
const said = (note: KeptNote): string => note.text || note.shapes.map((s) => s.kind).join(', ');
const inOrder = computed(() => [...props.notes].sort((a, b) => a.clipId - b.clipId || a.frame - b.frame));
const clipOf = (note: KeptNote) => props.clips.find((c) => c.id === note.clipId)!;
</script>

<template>
  <section v-if="hand || notes.length" class="notes" aria-label="Written on the film">
    <form v-if="hand" class="hand" @submit.prevent="writing.keep()">
      <b>Frame {{ hand.note.frame }}, {{ hand.clip.angle }}</b>
      <span class="tools" role="group" aria-label="Draw">
        <button
          v-for="k in DRAWN_KINDS"
          :key="k"
          class="plain"
          type="button"
          :aria-pressed="writing.tool.value === k"
          @click="writing.take(k)"
        >
          <kbd>{{ capOf(`draw: ${k}`) }}</kbd> {{ k }}
        </button>
        <span class="soft">{{ asks }}</span>
      </span>
      <label class="words"
        ><kbd>{{ capOf('write words') }}</kbd>
        <input
          ref="field"
          :value="hand.note.text"
          maxlength="400"
          placeholder="what to see here"
          aria-label="Note"
          @input="writing.put({ text: ($event.target as HTMLInputElement).value })"
          @keydown.esc="field?.blur()"
      /></label>
      <span
        >until frame {{ hand.note.until }}
        <button
          v-if="frame >= hand.note.frame && frame !== hand.note.until"
          class="plain link"
          type="button"
          @click="writing.put({ until: frame })"
        >
          until here
        </button></span
      >
      <label
        ><input
          type="checkbox"
          :checked="hand.note.players"
          @change="writing.put({ players: ($event.target as HTMLInputElement).checked })"
        />
        players see it</label
      >
      <button class="strong" type="submit" :disabled="writing.isEmpty.value">Keep</button>
      <button class="plain link" type="button" @click="writing.leave()">Leave it</button>
      <button v-if="hand.kept" class="plain link" type="button" @click="writing.remove(hand.kept)">Delete</button>
    </form>
    <p v-if="writing.problem.value" class="problem" role="alert">{{ writing.problem.value }}</p>
    <ul v-if="notes.length && !hand">
      <li v-for="n in inOrder" :key="n.id" :class="{ now: n.frame <= frame && frame <= n.until }">
        <button class="plain" type="button" @click="emit('seek', n.clipId, n.frame)">
          <span class="soft">{{ angleOf(n) }} {{ n.frame }}</span> {{ said(n) }}
        </button>
        <span class="soft">{{ n.players ? 'players see it' : n.by }}</span>
        <button v-if="!readOnly" class="plain link" type="button" @click="writing.edit(clipOf(n), n)">change</button>
      </li>
      <li class="out">
        <button class="plain link" type="button" @click="emit('captions')">as captions (WebVTT)</button>
        <button class="plain link" type="button" @click="emit('picture')">this frame as a picture</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.notes {
  font-size: 13px;
  padding: 2px 0 8px;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  padding: 8px 14px;
  background: var(--wash);
  border-left: 4px solid var(--violet);
}
.tools {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.tools [aria-pressed='true'] {
  color: var(--violet);
  font-weight: 650;
}
.words {
  display: flex;
  gap: 6px;
  align-items: center;
  flex: 1;
  min-width: 220px;
}
.words input {
  flex: 1;
  font: inherit;
  color: var(--ink);
  background: transparent;
  border: 0;
  border-bottom: 1px solid var(--violet);
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
}
li {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.now > button:first-child {
  font-weight: 650;
  color: var(--violet);
}
.out {
  margin-left: auto;
  gap: 14px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
</style>
