<script setup lang="ts">
import { ref } from 'vue';
import { sayBeside, sayMarks } from '#core/grade/say-grade';
import type { Grade } from '#core/model/grade';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { sayWhen } from './words';

interface Change {
  blocker: string;
  by: string;
  at: string;
  before: Grade | null;
  after: Grade | null;
}

/** Every change of one man's mark on a snap, the newest first; fetched when somebody asks. */
const props = defineProps<{ snapId: number; man: string }>();
const changes = ref<Change[] | null>(null);
const problem = ref('');
const attempt = attempting(problem);

const look = (): Promise<boolean> =>
  attempt(async () => {
    const all = await request<Change[]>(`/api/snaps/${props.snapId}/history`);
    changes.value = all.filter((c) => c.blocker === props.man);
  });
const say = (grade: Grade | null): string =>
  grade ? [sayMarks(grade), sayBeside(grade)].filter(Boolean).join('; ') : 'no mark';
</script>

<template>
  <p v-if="problem" role="alert">{{ problem }}</p>
  <button v-if="changes === null" class="plain link" type="button" @click="look">who marked what, and when</button>
  <p v-else-if="!changes.length" class="soft">Nobody has marked him yet.</p>
  <ol v-else aria-label="Changes of his mark">
    <li v-for="c in changes" :key="c.at">
      <b>{{ c.by }}</b> <span class="soft">{{ sayWhen(c.at) }}</span>: {{ say(c.before) }} → {{ say(c.after) }}
    </li>
  </ol>
</template>
