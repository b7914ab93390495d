<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, ref } from 'vue';
import { inField } from '~/features/hands/in-field';
import { attempting } from '~/features/session/attempt';
import { useFirst } from '~/features/first/store';
import { useTheme } from '~/features/session/theme';
import { useSession } from '~/features/session/store';
import { comingPart } from '~/features/session/part';

const session = useSession();
const theme = useTheme();

/** Who goes where: staff, whoever may read rules, players, everybody. */
type Whom = 'staff' | 'readers' | 'players' | 'everybody';
const places: readonly { to: string; name: string; whom: Whom }[] = [
  { to: '/rules', name: 'Rules', whom: 'readers' },
  { to: '/fronts', name: 'Fronts', whom: 'readers' },
  { to: '/formations', name: 'Formations', whom: 'readers' },
  { to: '/matrix', name: 'Matrix', whom: 'readers' },
  { to: '/walkthrough', name: 'Walkthrough', whom: 'everybody' },
  { to: '/protection', name: 'Protection', whom: 'readers' },
  { to: '/film', name: 'Film', whom: 'staff' },
  { to: '/mine', name: 'Mine', whom: 'players' },
  { to: '/quiz', name: 'Quiz', whom: 'players' },
  { to: '/week', name: 'Week', whom: 'staff' },
  { to: '/book', name: 'Book', whom: 'staff' },
  { to: '/book', name: 'Book', whom: 'players' },
  { to: '/team', name: 'Team', whom: 'readers' },
];
const first = useFirst();
const shown = computed(() => {
  const { staff, reads, member } = session;
  const may = { staff, readers: reads, players: member?.role === 'player', everybody: true };
  const mine = places.filter((p) => may[p.whom]);
  return session.coach && first.isFresh ? [{ to: '/first', name: 'First steps' }, ...mine] : mine;
});

const route = useRoute();
/** A place and everything under its address. */
const isHere = (to: string): boolean => route.path === to || route.path.startsWith(`${to}/`);

/** Another program has other texts, people and film: everything is loaded anew. */
async function changeTo(id: number): Promise<void> {
  await session.changeProgram(id);
  window.location.reload();
}

/** On film `?` lists the keys; everywhere else it says what the words mean. */
onKeyStroke('?', (event) => {
  if (inField(event.target) || route.path.startsWith('/film')) return;
  void navigateTo('/glossary');
});
const problem = ref('');
/** What has to be put away knows of everything that lies on this machine: no place waits for that. */
const goOut = (): Promise<boolean> =>
  attempting(problem)(async () => {
    const { leave } = await comingPart(import('~/features/session/leave'));
    await leave();
  });
</script>

<template>
  <div class="bench">
    <a class="visually-hidden" href="#place">To the work</a>
    <nav class="no-print" aria-label="Places">
      <p class="brand">Violet{{ ' ' }}<br />Chalk</p>
      <ul>
        <li v-for="place in shown" :key="place.to">
          <NuxtLink :to="place.to" :class="{ here: isHere(place.to) }">{{ place.name }}</NuxtLink>
        </li>
      </ul>
      <div class="foot">
        <p v-if="session.member">
          <template v-if="session.programs.length < 2">{{ session.member.programName }}<br /></template
          ><NuxtLink to="/account">{{ session.member.userName }}</NuxtLink>
        </p>
        <select
          v-if="session.programs.length > 1"
          aria-label="Program"
          :value="session.member?.programId"
          @change="changeTo(Number(($event.target as HTMLSelectElement).value))"
        >
          <option v-for="p in session.programs" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select>
        <NuxtLink to="/glossary">Glossary</NuxtLink>
        <button class="plain" type="button" @click="theme = theme === 'paper' ? 'board' : 'paper'">
          {{ theme === 'paper' ? 'Dark board' : 'Light paper' }}
        </button>
        <button class="plain" type="button" @click="goOut">Log out</button>
        <span v-if="problem" role="alert">{{ problem }}</span>
      </div>
    </nav>
    <main id="place"><slot /></main>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: 112px minmax(0, 1fr);
  height: 100%;
}
nav {
  /* Painted once, and not anew with what changes in the place beside it. */
  isolation: isolate;
  border-right: 1px solid var(--rule);
  display: flex;
  flex-direction: column;
  padding: 16px 0 14px;
}
.brand {
  font-weight: 800;
  font-size: 16px;
  line-height: 1.05;
  color: var(--violet);
  padding: 0 16px 18px;
  font-variation-settings: var(--narrow);
}
nav li a {
  display: block;
  padding: 7px 16px;
  color: var(--soft);
  text-decoration: none;
  border-left: 3px solid transparent;
}
nav li a:hover {
  color: var(--ink);
}
nav li a.here {
  color: var(--ink);
  font-weight: 650;
  border-left-color: var(--violet);
  background: var(--wash);
}
.foot {
  margin-top: auto;
  padding: 0 12px 0 16px;
  display: grid;
  gap: 8px;
  font-size: 12px;
}
.foot select {
  width: 100%;
  min-width: 0;
  font-size: 12px;
}
.foot a,
.foot button {
  color: var(--soft);
}
.foot button:hover {
  color: var(--ink);
}
main {
  min-width: 0;
  min-height: 0;
  overflow: auto;
}
@media (max-width: 640px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
  nav {
    flex-direction: row;
    align-items: center;
    padding: 6px 10px;
    border-right: 0;
    border-bottom: 1px solid var(--rule);
    gap: 4px;
    flex-wrap: wrap;
  }
  nav ul {
    display: flex;
    overflow-x: auto;
    order: 1;
    flex-basis: 100%;
  }
  nav li a {
    padding: 6px 8px;
    border-left: 0;
  }
  .brand {
    padding: 0 8px 0 0;
  }
  .brand br {
    display: none;
  }
  .foot {
    margin: 0 0 0 auto;
    display: flex;
    padding: 0;
  }
  .foot p {
    display: none;
  }
}
</style>
