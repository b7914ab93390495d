<script setup lang="ts">
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { closeBracketsKeymap, completionKeymap } from '@codemirror/autocomplete';
import { lintKeymap } from '@codemirror/lint';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap, lineNumbers, highlightActiveLine, drawSelection } from '@codemirror/view';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { chalkMode } from './chalk-mode';

const props = defineProps<{ text: string; readOnly: boolean }>();
const emit = defineEmits<{ 'update:text': [text: string] }>();
const host = ref<HTMLElement | null>(null);
let view: EditorView | null = null;

const stateOf = (doc: string): EditorState =>
  EditorState.create({
    doc,
    extensions: [
      lineNumbers(),
      history(),
      drawSelection(),
      highlightActiveLine(),
      keymap.of([...closeBracketsKeymap, ...completionKeymap, ...lintKeymap, ...historyKeymap, ...defaultKeymap]),
      chalkMode(),
      EditorState.readOnly.of(props.readOnly),
      EditorView.contentAttributes.of({ 'aria-label': 'Rules as text', tabindex: '0' }),
      EditorView.updateListener.of((u) => {
        if (u.docChanged) emit('update:text', u.state.doc.toString());
      }),
    ],
  });

onMounted(() => {
  view = new EditorView({ state: stateOf(props.text), parent: host.value! });
});
onBeforeUnmount(() => view?.destroy());
watch(
  () => props.text,
  (next) => {
    if (view && next !== view.state.doc.toString())
      view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: next } });
  },
);

/** Puts the cursor on a line and shows it. */
function goTo(line: number): void {
  if (!view) return;
  const at = view.state.doc.line(Math.min(view.state.doc.lines, Math.max(1, line)));
  view.dispatch({
    selection: { anchor: at.from, head: at.to },
    effects: EditorView.scrollIntoView(at.from, { y: 'center' }),
  });
  view.focus();
}
defineExpose({ goTo });
</script>

<template><div ref="host" class="host" /></template>

<style scoped>
.host {
  height: 100%;
  min-height: 0;
  overflow: hidden;
}
</style>
