<script setup lang="ts">
import { unifiedMergeView } from '@codemirror/merge';
import { EditorState } from '@codemirror/state';
import { EditorView } from '@codemirror/view';
import { format } from 'date-fns';
import { onBeforeUnmount, ref, watch } from 'vue';
import type { Version } from '~/features/playbook/store';
import { chalkMode } from './chalk-mode';

const props = defineProps<{ versions: readonly Version[]; text: string }>();
const emit = defineEmits<{ restore: [text: string] }>();
const shown = ref<Version | null>(null);
const host = ref<HTMLElement | null>(null);
let view: EditorView | null = null;

watch([shown, host], () => {
  view?.destroy();
  view =
    shown.value && host.value
      ? new EditorView({
          parent: host.value,
          state: EditorState.create({
            doc: props.text,
            extensions: [
              chalkMode(),
              EditorState.readOnly.of(true),
              EditorView.editable.of(false),
              unifiedMergeView({
                original: shown.value.text,
                mergeControls: false,
                collapseUnchanged: { margin: 1, minSize: 4 },
              }),
            ],
          }),
        })
      : null;
});
onBeforeUnmount(() => view?.destroy());
</script>

<template>
  <section aria-label="Versions">
    <h2>Versions</h2>
    <ol>
      <li v-for="v in versions" :key="v.number">
        <button
          class="plain"
          type="button"
          :aria-pressed="shown?.number === v.number"
          @click="shown = shown?.number === v.number ? null : v"
        >
          <b>{{ v.number }}</b> {{ v.by }}, {{ format(new Date(v.at), 'd MMM, HH:mm') }}{{ v.draft ? ', draft' : '' }}
        </button>
        <button v-if="v.text !== text" class="plain link" type="button" @click="emit('restore', v.text)">
          restore
        </button>
        <span v-else class="soft">in the editor</span>
      </li>
    </ol>
    <p v-if="shown" class="soft">From version {{ shown.number }} to what is in the editor:</p>
    <div ref="host" class="diff" />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
}
li {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  font-size: 13px;
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
}
[aria-pressed='true'] {
  color: var(--violet);
}
.diff {
  max-height: 260px;
  overflow: auto;
}
</style>
