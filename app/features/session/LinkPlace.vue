<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { TicketViewSchema, type TicketView } from '#core/model/account';
import { ROLES } from '#core/model/role';
import AccountFields from './AccountFields.vue';
import { attempting } from './attempt';
import DoorFrame from './DoorFrame.vue';
import { request } from './request';
import { useSession } from './store';

/** What a link opens that somebody was given: a place in a program, or a new password. Its secret never is in an address that is sent. */
const session = useSession();
const route = useRoute();
const token = computed(() => route.hash.slice(1));
const ticket = shallowRef<TicketView | null>(null);
const [name, email, password] = [ref(''), ref(''), ref('')];
const problem = ref('');
const busy = ref(false);
const done = ref(false);
const attempt = attempting(problem);

/** A link is sometimes cut where a line ends. */
const isWhole = computed(() => /^[\w-]{20,64}$/.test(token.value));
onMounted(() => {
  if (!isWhole.value) problem.value = 'This link is not whole. Open it again, or ask for a new one.';
  else void look();
});
const look = (): Promise<boolean> =>
  attempt(async () => {
    const found = await request('/api/tickets/look', { method: 'POST', body: { token: token.value } });
    ticket.value = TicketViewSchema.parse(found);
    name.value = ticket.value.name;
    email.value = ticket.value.email;
  });
const title = computed(() => {
  if (!ticket.value) return 'Violet Chalk';
  return ticket.value.kind === 'invitation' ? `Join ${ticket.value.program}` : 'A new password';
});

async function join(): Promise<void> {
  busy.value = true;
  const account = { name: name.value, email: email.value, password: password.value };
  if (await attempt(() => session.join(token.value, account))) await navigateTo('/');
  busy.value = false;
}

async function reset(): Promise<void> {
  busy.value = true;
  done.value = await attempt(async () => {
    await request('/api/tickets/reset', { method: 'POST', body: { token: token.value, password: password.value } });
  });
  busy.value = false;
}
</script>

<template>
  <DoorFrame :title="title">
    <template v-if="ticket?.kind === 'invitation'">
      <p>
        {{ ticket.by }} invites you as <b>{{ ROLES[ticket.role!].name }}</b>, who {{ ROLES[ticket.role!].says }}.
      </p>
      <form @submit.prevent="join">
        <AccountFields
          v-model:name="name"
          v-model:email="email"
          v-model:password="password"
          password-says="If your address has an account here already, its password; otherwise a new one of at least ten characters."
        />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <Button type="submit" label="Join" :disabled="busy" />
      </form>
    </template>
    <p v-else-if="done" role="status">
      Your password is changed, and you are logged out everywhere. <NuxtLink to="/login">Log in</NuxtLink>
    </p>
    <form v-else-if="ticket" @submit.prevent="reset">
      <p>For {{ ticket.name }}, {{ ticket.email }}.</p>
      <label for="password">A new password</label>
      <p class="soft">At least ten characters; a few words in a row are fine.</p>
      <InputText id="password" v-model="password" type="password" autocomplete="new-password" required autofocus />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <Button type="submit" label="Change it" :disabled="busy" />
    </form>
    <template v-else>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-else class="soft">Looking at the link …</p>
      <p><NuxtLink to="/login">To the log-in</NuxtLink></p>
    </template>
  </DoorFrame>
</template>
