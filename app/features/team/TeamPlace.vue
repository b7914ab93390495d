<script setup lang="ts">
import { ref } from 'vue';
import type { Settings } from '#core/model/settings';
import { useSession } from '~/features/session/store';
import AliasList from './AliasList.vue';
import { useChanging } from './changing';
import SpeedTable from './SpeedTable.vue';
import TeamHead from './TeamHead.vue';
import WayRow from './WayRow.vue';
import WaysPicture from './WaysPicture.vue';
import { WAYS } from './ways';

/** How this team sees and does it, a group at a time, beside a picture of what it comes to. */
const session = useSession();
const { problem, notice, change } = useChanging();
const SPEEDS = { id: 'speeds', name: 'How fast our men are' };
const open = ref(WAYS[0]!.id);
const set = (settings: Settings): Promise<boolean> => change({ settings }, 'That is in force.');
</script>

<template>
  <div class="place">
    <TeamHead
      title="How this team sees and does it"
      :says="
        session.coach
          ? 'Changes count at once, on every board and for every new snap. Grades given before keep what they were given against.'
          : 'The line coach changes these.'
      "
    />
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <p v-if="notice" class="page-notice" role="status">{{ notice }}</p>
    <div class="page-parts">
      <SideChoice v-model="open" :items="[...WAYS, SPEEDS]" label="Groups" />
      <fieldset :disabled="!session.coach">
        <legend class="visually-hidden">The team’s ways</legend>
        <template v-for="g in WAYS" :key="g.id">
          <template v-if="open === g.id">
            <WayRow v-for="w in g.ways" :key="w.key" :way="w" @change="set" />
            <AliasList v-if="g.id === 'see'" @change="set" />
          </template>
        </template>
        <SpeedTable
          v-if="open === SPEEDS.id"
          @change="(settings) => change({ settings }, 'The speeds are in force.')"
        />
      </fieldset>
      <WaysPicture :scheme="open === 'see' ? null : open === 'throw' ? 'pro-half-slide' : 'power'" />
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: 150px minmax(280px, 1fr) minmax(300px, 1.1fr);
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
}
</style>
