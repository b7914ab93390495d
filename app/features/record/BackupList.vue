<script setup lang="ts">
import { format } from 'date-fns';
import { onMounted, ref, shallowRef } from 'vue';
import * as z from 'zod';
import { BackupSchema, RestoredSchema, type Backup } from '#core/model/backup';
import { sayBytes } from '#core/reports/film-lines';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** Backups of the whole installation, for who keeps it. */
const backups = shallowRef<Backup[]>([]);
const problem = ref('');
/** What is going on, in words; empty when nothing is. */
const doing = ref('');
const attempt = attempting(problem);
const read = async (): Promise<void> => {
  backups.value = z.array(BackupSchema).parse(await request('/api/backups'));
};
async function during(words: string, work: () => Promise<void>): Promise<boolean> {
  doing.value = words;
  const done = await attempt(work);
  doing.value = '';
  return done;
}
const make = (film: boolean): Promise<boolean> =>
  during('It is being written …', async () => {
    await request('/api/backups', { method: 'POST', body: { film } });
    await read();
  });
async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  await during('It is coming in …', async () => {
    await request('/api/backups/file', { method: 'POST', body: file, type: 'application/x-tar' });
    await read();
  });
}

/** Which is about to be put back, and what was put back. */
const [chosen, password] = [ref<string | null>(null), ref('')];
const restored = ref('');
async function putBack(name: string): Promise<void> {
  const body = { password: password.value };
  password.value = '';
  const done = await during('It is being put back …', async () => {
    const answer = await request(`/api/backups/${name}/restore`, { method: 'POST', body });
    const { says, before } = RestoredSchema.parse(answer);
    restored.value = `${says} What was here before is the backup ${before}.`;
  });
  if (done) chosen.value = null;
}
const madeOn = (b: Backup): string => format(new Date(b.made), 'd MMM yyyy, HH:mm');
onMounted(() => void attempt(read));
</script>

<template>
  <section class="backups" aria-label="Backups">
    <h2>Backups of this whole installation</h2>
    <p class="acts">
      <button class="plain link" type="button" :disabled="doing !== ''" @click="make(false)">Make one</button>
      <button class="plain link" type="button" :disabled="doing !== ''" @click="make(true)">with all film</button>
      <label class="link">
        Bring one from a file
        <input class="visually-hidden" type="file" accept=".tar" :disabled="doing !== ''" @change="bring" />
      </label>
      <span v-if="doing" role="status">{{ doing }}</span>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="restored" class="restored" role="status">{{ restored }} <a class="link" href="/">Go on</a></p>
    <ul>
      <li v-for="b in backups" :key="b.name">
        <a class="link" :href="`/api/backups/${b.name}`" download>{{ madeOn(b) }}</a>
        <span class="soft"> {{ sayBytes(b.bytes) }} </span>
        <button
          class="plain link"
          type="button"
          :aria-expanded="chosen === b.name"
          :aria-label="`Put back the one of ${madeOn(b)}`"
          @click="chosen = chosen === b.name ? null : b.name"
        >
          Put back
        </button>
        <b v-if="b.erasedSince">
          {{ b.erasedSince }} {{ b.erasedSince === 1 ? 'man was' : 'men were' }} erased since and
          {{ b.erasedSince === 1 ? 'is' : 'are' }} still in it: delete it by hand.</b
        >
        <form v-if="chosen === b.name" @submit.prevent="putBack(b.name)">
          <p>
            Every program of this installation becomes what it was on {{ madeOn(b) }}. What is here now is kept as a
            backup first. Nobody can work here for a moment, and most have to log in again.
            <template v-if="b.erasedSince">Who was erased since is known again: erase him once more.</template>
          </p>
          <label>
            Your password
            <input v-model="password" class="field" type="password" autocomplete="current-password" required />
          </label>
          <button class="plain link" type="submit" :disabled="doing !== ''">Put it back</button>
        </form>
      </li>
    </ul>
    <p class="soft">
      From a command line: <code>./start restore FILE --yes</code>. A backup that lies on the same disk does not help
      when the disk is lost: take it away.
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
.acts label {
  cursor: pointer;
}
.acts label:focus-within {
  outline: 2px solid var(--violet);
  outline-offset: 2px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
form {
  flex-basis: 100%;
  display: grid;
  gap: 6px;
  max-width: 62ch;
  margin: 6px 0 10px;
  padding-left: 12px;
  border-left: 3px solid var(--violet);
}
form button {
  justify-self: start;
}
.restored {
  font-weight: 600;
}
.problem {
  color: var(--broken);
}
</style>
