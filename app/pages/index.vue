<script setup lang="ts">
import { useFirst } from '~/features/first/store';
import { useSession } from '~/features/session/store';

const session = useSession();
const home =
  session.coach && useFirst().isFresh
    ? '/first'
    : session.member?.role === 'player'
      ? '/mine'
      : session.staff
        ? '/week'
        : '/walkthrough';
await navigateTo(home, { replace: true });
</script>

<template><div /></template>
