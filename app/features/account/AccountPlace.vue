<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns';
import { onMounted, ref } from 'vue';
import { ROLES } from '#core/model/role';
import { useSession } from '~/features/session/store';
import { useAccount } from './store';

/** One's own account, and the programs one belongs to. */
const account = useAccount();
const session = useSession();
const name = ref(session.member?.userName ?? '');
const [old, password, program] = [ref(''), ref(''), ref('')];
onMounted(() => void account.load());

async function changePassword(): Promise<void> {
  if (!(await account.changePassword(old.value, password.value))) return;
  old.value = '';
  password.value = '';
}
/** Another program has other texts, people and film: everything is loaded anew. */
const goTo = (path: string): void => window.location.assign(path);
async function enter(id: number): Promise<void> {
  await session.changeProgram(id);
  goTo('/');
}
async function make(): Promise<void> {
  if (program.value.trim() && (await account.makeProgram(program.value.trim()))) goTo('/first');
}
async function visit(): Promise<void> {
  if (await account.visitDemo()) goTo('/walkthrough');
}
async function pick(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (file && (await account.bringIn(file))) goTo('/');
}
const ago = (at: string): string => formatDistanceToNow(new Date(at), { addSuffix: true });
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>Your account</h1>
      <p class="soft">It is yours in every program you belong to.</p>
    </header>
    <p v-if="account.problem" class="page-problem" role="alert">{{ account.problem }}</p>
    <p v-if="account.notice" class="page-notice" role="status">{{ account.notice }}</p>
    <div class="page-parts">
      <section aria-label="Name and password">
        <h2>Name and password</h2>
        <form @submit.prevent="account.changeName(name)">
          <label>Name <input v-model="name" class="field" maxlength="80" required /></label>
          <button class="plain link" type="submit">Change it</button>
        </form>
        <form @submit.prevent="changePassword">
          <label
            >Password now <input v-model="old" class="field" type="password" autocomplete="current-password" required
          /></label>
          <label
            >New password <input v-model="password" class="field" type="password" autocomplete="new-password" required
          /></label>
          <button class="plain link" type="submit">Change it</button>
          <p class="soft">Whoever is logged in as you anywhere else is logged out.</p>
        </form>
      </section>
      <section aria-label="Where you are logged in">
        <h2>Where you are logged in</h2>
        <ul>
          <li v-for="s in account.sessions" :key="s.id">
            <b>{{ s.machine || 'a browser' }}</b>
            <span class="soft">{{ s.here ? 'here' : `last seen ${ago(s.seenAt)}` }}</span>
            <button v-if="!s.here" class="plain link" type="button" @click="account.end(s)">log out there</button>
          </li>
        </ul>
      </section>
      <section aria-label="Programs">
        <h2>Programs</h2>
        <ul>
          <li v-for="p in session.programs" :key="p.id">
            <b>{{ p.name }}</b> <span class="soft">{{ ROLES[p.role].name }}</span>
            <span v-if="p.id === session.member?.programId" class="soft">you are here</span>
            <button v-else class="plain link" type="button" @click="enter(p.id)">go there</button>
          </li>
        </ul>
        <template v-if="session.reads">
          <form @submit.prevent="make">
            <label>Another team <input v-model="program" class="field" maxlength="80" /></label>
            <button class="plain link" type="submit" :disabled="!program.trim()">Make its program</button>
          </form>
          <label
            >or make one of a copy
            <input type="file" accept=".zip,application/zip" :disabled="account.bringing" @change="pick"
          /></label>
          <p v-if="account.bringing" role="status">It is brought in …</p>
          <p>
            <button class="plain link" type="button" @click="visit">Visit the made-up Larkhollow Lanterns</button>
            <span class="soft"> with four games, film and grades; nothing of them comes into your own program.</span>
          </p>
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
}
section,
form {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: start;
}
form {
  padding-bottom: 12px;
}
label {
  display: grid;
  gap: 2px;
  font-size: 13px;
  font-weight: 600;
}
li {
  padding: 4px 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
}
</style>
