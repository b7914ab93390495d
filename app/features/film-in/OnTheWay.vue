<script setup lang="ts">
import { sayBytes } from '#core/reports/film-lines';
import { useUploads, type UploadItem } from './uploads';

const uploads = useUploads();

const STATE = { queued: 'waits for its turn', sending: '', paused: 'paused', failed: '' } as const;

function says({ state, sent, size, problem }: UploadItem): string {
  if (state === 'failed') return problem;
  const done = `${sayBytes(sent)} of ${sayBytes(size)}`;
  return STATE[state] ? `${STATE[state]}, ${done}` : done;
}
</script>

<template>
  <section aria-label="On the way">
    <h2>On the way</h2>
    <ul>
      <li v-for="i in uploads.items" :key="i.key">
        <b>{{ i.name }}</b>
        <progress :value="i.sent" :max="i.size || 1" :aria-label="`${i.name}, sent`" />
        <span :class="i.state === 'failed' ? 'failed' : 'soft'" :role="i.state === 'failed' ? 'alert' : undefined">{{
          says(i)
        }}</span>
        <span class="acts">
          <button v-if="i.state === 'sending'" class="plain link" type="button" @click="uploads.pause(i.key)">
            Pause
          </button>
          <button
            v-if="i.state === 'paused' || i.state === 'failed'"
            class="plain link"
            type="button"
            @click="uploads.goOn(i.key)"
          >
            Go on
          </button>
          <button class="plain link" type="button" @click="uploads.drop(i.key)">Give up</button>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  padding: 4px 0 14px;
}
li {
  display: grid;
  grid-template-columns: minmax(120px, 260px) 160px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
}
b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
progress {
  width: 100%;
  height: 8px;
  accent-color: var(--violet);
}
.failed {
  color: var(--broken);
  font-weight: 600;
}
.acts {
  display: flex;
  gap: 12px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr auto;
  }
}
</style>
