<script setup lang="ts">
import { sayBeside, sayMarks } from '#core/grade/say-grade';
import type { Grade } from '#core/model/grade';
import { useFilm } from '~/features/film/store';
import { useMarks } from '~/features/marks/store';
import { sayAside, sayWhen } from './words';

/** Marks that lie aside: what was given here, what stands on the server, and whoever grades decides. */
const box = useMarks();
const film = useFilm();
const say = (grade: Grade | null): string =>
  grade ? [sayMarks(grade), sayBeside(grade)].filter(Boolean).join('; ') : 'no mark';
</script>

<template>
  <section class="aside" aria-label="Marks that lie aside">
    <p v-if="box.unreadable">
      {{ box.unreadable }} kept on this machine cannot be read by this version. They stay where they are.
    </p>
    <article v-for="w in box.aside" :key="`${w.snapId} ${w.entry.blocker}`">
      <p>
        <b>Snap {{ w.snapNumber }}, {{ w.entry.blocker }}.</b> {{ sayAside(w.aside) }}
      </p>
      <dl>
        <dt>Yours</dt>
        <dd><GradeMark :grade="w.entry.grade" /> {{ say(w.entry.grade) }}</dd>
        <template v-if="w.aside.other">
          <dt>{{ w.aside.other.by }}, {{ sayWhen(w.aside.other.at) }}</dt>
          <dd><GradeMark :grade="w.aside.other.grade" /> {{ say(w.aside.other.grade) }}</dd>
        </template>
      </dl>
      <p class="ways">
        <button v-if="w.aside.kind !== 'refused'" class="plain link" type="button" @click="film.takeMine(w)">
          Mine stands
        </button>
        <button class="plain link" type="button" @click="film.takeTheirs(w)">
          {{ w.aside.kind === 'refused' ? 'Throw mine away' : 'Leave what is there' }}
        </button>
        <NuxtLink v-if="film.snap?.id !== w.snapId" :to="`/film/${w.snapId}`">look at snap {{ w.snapNumber }}</NuxtLink>
      </p>
    </article>
  </section>
</template>

<style scoped>
.aside {
  border: 1px solid var(--risk);
  border-left-width: 4px;
  padding: 8px 12px;
  display: grid;
  gap: 10px;
  font-size: 13px;
  margin-bottom: 8px;
  max-height: 220px;
  overflow: auto;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 12px;
}
dt {
  color: var(--soft);
}
.ways {
  display: flex;
  gap: 16px;
}
</style>
