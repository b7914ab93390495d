<script setup lang="ts">
import { ref } from 'vue';
import { RequestProblem } from './request';
import { useSession, type DemoAccount } from './store';

const session = useSession();
const route = useRoute();
const email = ref('');
const password = ref('');
const problem = ref('');
const busy = ref(false);

async function enter(): Promise<void> {
  problem.value = '';
  busy.value = true;
  try {
    await session.logIn(email.value, password.value);
    const next = String(route.query.next ?? '/walkthrough');
    await navigateTo(next.startsWith('/') && !next.startsWith('//') ? next : '/walkthrough');
  } catch (failure) {
    if (!(failure instanceof RequestProblem)) throw failure;
    problem.value = failure.message;
  } finally {
    busy.value = false;
  }
}

async function enterAs(account: DemoAccount): Promise<void> {
  email.value = account.email;
  password.value = account.password;
  await enter();
}

const DOES: Record<string, string> = {
  coach: 'runs the room: everything',
  assistant: 'logs and grades',
  player: 'sees his own grades',
};
</script>

<template>
  <main class="door">
    <svg class="mark" viewBox="-13 -5 26 9" role="img" aria-label="Five blockers against a front of four">
      <g v-for="x in [-8, -4, 0, 4, 8]" :key="x" class="ours">
        <rect :x="x - 1.3" y="0.6" width="2.6" height="1.7" rx="0.85" />
        <path :d="`M${x - 0.45} 0.7 L${x} 0.1 L${x + 0.45} 0.7 Z`" />
      </g>
      <path
        v-for="x in [-9, -1, 5, 9]"
        :key="x"
        class="theirs"
        :d="`M${x - 1.2} -2.6 h2.4 v1.5 h-0.8 l-0.4 -0.5 l-0.4 0.5 h-0.8 z`"
      />
    </svg>
    <h1>Violet Chalk</h1>
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
      <Button type="submit" label="Log in" :disabled="busy" />
    </form>
    <section v-if="session.demo.length" aria-labelledby="demo">
      <h2 id="demo">Started with demo data: enter as</h2>
      <ul>
        <li v-for="account in session.demo" :key="account.email">
          <button class="plain" type="button" @click="enterAs(account)">
            <span class="link">{{ account.name }}</span>{{ ' ' }}
            <span class="soft">{{ account.role }}, {{ DOES[account.role] }}</span>
          </button>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.door {
  max-width: 420px;
  margin: 0 auto;
  padding: 9vh 20px 40px;
  display: grid;
  gap: 14px;
}
.mark {
  width: 260px;
}
.ours {
  fill: var(--ink);
}
.theirs {
  fill: none;
  stroke: var(--defence);
  stroke-width: 0.22;
}
h1 {
  font-size: 30px;
  font-weight: 800;
  color: var(--violet);
  font-variation-settings: var(--narrow);
  line-height: 1;
}
form {
  display: grid;
  gap: 6px;
  margin-top: 8px;
}
form .p-button {
  margin-top: 8px;
  justify-self: start;
}
label {
  font-weight: 600;
  font-size: 13px;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
section {
  border-top: 1px solid var(--rule);
  padding-top: 12px;
  display: grid;
  gap: 8px;
}
li {
  padding: 3px 0;
}
</style>
