<script setup lang="ts">
import { useChanging } from '~/features/team/changing';
import AliasList from '~/features/team/AliasList.vue';
import WayRow from '~/features/team/WayRow.vue';
import WaysPicture from '~/features/team/WaysPicture.vue';
import { WAYS } from '~/features/team/ways';

/** One group of settings beside a picture of what it comes to. */
const props = defineProps<{ group: string; scheme: string | null; aliases?: boolean }>();
const { problem, change } = useChanging();
const ways = WAYS.find((g) => g.id === props.group)!.ways;
</script>

<template>
  <div class="step">
    <div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <WayRow v-for="w in ways" :key="w.key" :way="w" @change="change({ settings: $event }, '')" />
      <AliasList v-if="aliases" @change="change({ settings: $event }, '')" />
    </div>
    <WaysPicture :scheme="scheme" />
  </div>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: minmax(280px, 1fr) minmax(300px, 1.1fr);
  gap: 20px 32px;
  align-items: start;
}
.problem {
  color: var(--broken);
}
@media (max-width: 1000px) {
  .step {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
