<script setup lang="ts">
import { format } from 'date-fns';
import { onMounted, ref, shallowRef } from 'vue';
import * as z from 'zod';
import { AuditEntrySchema, sayAudit, type AuditEntry } from '#core/model/audit';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import BackupList from './BackupList.vue';
import KeepTime from './KeepTime.vue';
import TeamHead from '~/features/team/TeamHead.vue';

/** What was done with people and their records: who, what and when. */
const entries = shallowRef<readonly AuditEntry[]>([]);
const total = ref(0);
const session = useSession();
const problem = ref('');
const attempt = attempting(problem);
const PageSchema = z.object({ entries: z.array(AuditEntrySchema), total: z.int() });
const more = (): Promise<boolean> =>
  attempt(async () => {
    const page = PageSchema.parse(await request(`/api/audit?skip=${entries.value.length}&take=50`));
    entries.value = [...entries.value, ...page.entries];
    total.value = page.total;
  });
onMounted(() => void more());
</script>

<template>
  <div class="place">
    <TeamHead
      title="What was done, by whom"
      says="Who was let in or taken out, what was published, and what was taken out of the program. Every single mark keeps its own record."
    />
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <section class="record copies" aria-label="Copies">
      <h2>Copies</h2>
      <p>
        <a class="link" href="/api/copy" download>Take a copy of this program</a> as one file of open files;
        <a class="link" href="/api/copy?film=yes" download>with its film</a>.
      </p>
      <p class="soft">
        It holds records about people: keep it where only you can read it. Bring it in under
        <NuxtLink to="/account">your account</NuxtLink>, here or on another machine; it becomes a program of its own.
      </p>
    </section>
    <KeepTime class="record" />
    <BackupList v-if="session.keeper" class="record" />
    <h2 class="record">What was done</h2>
    <ol class="record">
      <li v-for="e in entries" :key="e.id">
        <time :datetime="e.at" class="soft">{{ format(new Date(e.at), 'd MMM yyyy, HH:mm') }}</time>
        <span>{{ sayAudit(e) }}</span>
      </li>
    </ol>
    <p class="record">
      <button v-if="entries.length < total" class="plain link" type="button" @click="more">
        {{ total - entries.length }} more
      </button>
      <span v-else-if="total === 0" class="soft">Nothing has been done yet.</span>
    </p>
  </div>
</template>

<style scoped>
.copies {
  display: grid;
  gap: 4px;
}
.record {
  padding: 10px 20px;
}
li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
