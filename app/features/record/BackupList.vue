<script setup lang="ts">
import { format } from 'date-fns';
import { onMounted, ref, shallowRef } from 'vue';
import * as z from 'zod';
import { BackupSchema, type Backup } from '#core/model/backup';
import { sayBytes } from '#core/reports/film-lines';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** Backups of the whole installation, for who keeps it. */
const backups = shallowRef<Backup[]>([]);
const [problem, busy] = [ref(''), ref(false)];
const attempt = attempting(problem);
const read = async (): Promise<void> => {
  backups.value = z.array(BackupSchema).parse(await request('/api/backups'));
};
async function make(film: boolean): Promise<void> {
  busy.value = true;
  await attempt(async () => {
    await request('/api/backups', { method: 'POST', body: { film } });
    await read();
  });
  busy.value = false;
}
onMounted(() => void attempt(read));
</script>

<template>
  <section class="backups" aria-label="Backups">
    <h2>Backups of this whole installation</h2>
    <p class="acts">
      <button class="plain link" type="button" :disabled="busy" @click="make(false)">Make one</button>
      <button class="plain link" type="button" :disabled="busy" @click="make(true)">with all film</button>
      <span v-if="busy" role="status">It is being written …</span>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="b in backups" :key="b.name">
        <a class="link" :href="`/api/backups/${b.name}`" download>{{
          format(new Date(b.made), 'd MMM yyyy, HH:mm')
        }}</a>
        <span class="soft"> {{ sayBytes(b.bytes) }}</span>
        <b v-if="b.erasedSince">
          {{ b.erasedSince }} {{ b.erasedSince === 1 ? 'man was' : 'men were' }} erased since and
          {{ b.erasedSince === 1 ? 'is' : 'are' }} still in it: delete it by hand.</b
        >
      </li>
    </ul>
    <p class="soft">
      Put one back with <code>./start restore FILE --yes</code>, here or on another machine. A backup that lies on the
      same disk does not help when the disk is lost: take it away.
    </p>
  </section>
</template>

<style scoped>
.backups {
  display: grid;
  gap: 4px;
}
.acts {
  display: flex;
  gap: 18px;
}
.problem {
  color: var(--broken);
}
</style>
