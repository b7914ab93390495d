<script setup lang="ts">
import { SHORTEST_PASSWORD } from '#core/model/account';

/** Who opens an account: name, address and a password. */
const name = defineModel<string>('name', { required: true });
const email = defineModel<string>('email', { required: true });
const password = defineModel<string>('password', { required: true });
defineProps<{ passwordSays?: string }>();
</script>

<template>
  <label for="name">Your name</label>
  <InputText id="name" v-model="name" autocomplete="name" maxlength="80" required />
  <label for="email">Your address</label>
  <InputText id="email" v-model="email" type="email" autocomplete="username" maxlength="200" required />
  <label for="password">A password</label>
  <p class="soft">{{ passwordSays ?? `At least ${SHORTEST_PASSWORD} characters; a few words in a row are fine.` }}</p>
  <InputText id="password" v-model="password" type="password" autocomplete="new-password" maxlength="200" required />
</template>
