<script setup lang="ts">
import { ref } from 'vue';
import AccountFields from './AccountFields.vue';
import { attempting } from './attempt';
import DoorFrame from './DoorFrame.vue';
import { useSession } from './store';

/** The first program of this installation and the account of its line coach. */
const session = useSession();
const [code, program, name, email, password] = [ref(''), ref(''), ref(''), ref(''), ref('')];
const problem = ref('');
const busy = ref(false);
const attempt = attempting(problem);

async function begin(): Promise<void> {
  busy.value = true;
  const account = { name: name.value, email: email.value, password: password.value };
  if (await attempt(() => session.begin({ code: code.value, program: program.value, ...account })))
    await navigateTo('/first');
  busy.value = false;
}
</script>

<template>
  <DoorFrame title="Your own program">
    <p class="soft">Nothing of the demo is mixed in. Everything you choose here can be changed later.</p>
    <form @submit.prevent="begin">
      <label for="code">The code the start command printed</label>
      <InputText id="code" v-model="code" autocomplete="off" maxlength="40" required autofocus />
      <label for="program">Your team</label>
      <InputText id="program" v-model="program" autocomplete="organization" maxlength="80" required />
      <AccountFields v-model:name="name" v-model:email="email" v-model:password="password" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <Button type="submit" label="Begin" :disabled="busy" />
    </form>
    <p><NuxtLink to="/login">I have an account</NuxtLink></p>
  </DoorFrame>
</template>
