<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { ROLES, type Role } from '#core/model/role';
import { attempting } from './attempt';
import DoorFrame from './DoorFrame.vue';
import { request } from './request';
import { useSession, type DemoAccount } from './store';
import { comingPart } from './part';

const session = useSession();
const route = useRoute();
const email = ref('');
const password = ref('');
const problem = ref('');
const notice = ref('');
const busy = ref(false);
const attempt = attempting(problem);
/** Whose marks have not arrived. */
const locked = shallowRef<{ name: string; count: number }[]>([]);
onMounted(async () => {
  // The door is open before anybody has looked what lies here.
  await attempt(async () => {
    const { useMarks } = await comingPart(import('~/features/marks/store'));
    locked.value = await useMarks().locked();
  });
});
const next = computed(() => {
  const wanted = String(route.query.next ?? '/');
  return wanted.startsWith('/') && !wanted.startsWith('//') ? wanted : '/';
});

async function enter(): Promise<void> {
  busy.value = true;
  if (await attempt(() => session.logIn(email.value, password.value))) await navigateTo(next.value);
  busy.value = false;
}

async function enterAs(account: DemoAccount): Promise<void> {
  email.value = account.email;
  password.value = account.password;
  await enter();
}

/** Asks for a link by mail; what is said does not tell whether the address has an account. */
async function forgotten(): Promise<void> {
  notice.value = '';
  if (!email.value.trim()) {
    problem.value = 'Write your address first.';
    return;
  }
  const asked = await attempt(async () => {
    await request('/api/tickets/forgotten', { method: 'POST', body: { email: email.value } });
  });
  if (asked) notice.value = 'If this address has an account, a letter with a link is on its way to it.';
}
</script>

<template>
  <DoorFrame title="Violet Chalk">
    <p class="soft">
      Write your blocking rules once. See them against any front, with the reason for every man, and grade each block
      against what his rule asked.
    </p>
    <form @submit.prevent="enter">
      <label for="email">Address</label>
      <InputText id="email" v-model="email" autocomplete="username" required autofocus />
      <label for="password">Password</label>
      <InputText id="password" v-model="password" type="password" autocomplete="current-password" required />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="notice" role="status">{{ notice }}</p>
      <Button type="submit" label="Log in" :disabled="busy" />
      <button class="plain link" type="button" @click="forgotten">I do not know my password any more</button>
    </form>
    <p v-for="l in locked" :key="l.name" class="soft">
      {{ howMany(l.count, 'mark') }} of {{ l.name }} wait on this machine, locked until
      {{ l.name }}
      logs in.
    </p>
    <section v-if="session.canBegin" aria-labelledby="own">
      <h2 id="own">Your own program</h2>
      <p><NuxtLink to="/begin">Make your own program</NuxtLink> with the code the start command printed.</p>
    </section>
    <section v-if="session.demo.length" aria-labelledby="demo">
      <h2 id="demo">Started with demo data: enter as</h2>
      <ul>
        <li v-for="account in session.demo" :key="account.email">
          <button class="plain" type="button" @click="enterAs(account)">
            <span class="link">{{ account.name }}</span>{{ ' ' }}
            <span class="soft">{{ ROLES[account.role as Role].name }}, {{ ROLES[account.role as Role].says }}</span>
          </button>
        </li>
      </ul>
    </section>
  </DoorFrame>
</template>

<style scoped>
li {
  padding: 3px 0;
}
</style>
