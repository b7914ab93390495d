<script setup lang="ts">
import { onMounted } from 'vue';
import { FAULTS } from '#core/model/faults';
import { schemeName } from '~/features/board/scheme-names';
import { useSession } from '~/features/session/store';
import BookTable from './BookTable.vue';
import { useBook } from './store';

const book = useBook();
const session = useSession();
onMounted(book.load);
const MEASURED = { assignment: 'right man', technique: 'technique', both: 'right man and technique' } as const;
</script>

<template>
  <div class="place">
    <header>
      <h1>{{ session.staff ? 'What the grades say' : 'Your grades' }}</h1>
      <p class="soft">
        Every percentage opens the snaps it was counted from. Marks nobody could give are left out of the base and
        counted beside it; the bar is the 95 % interval.
      </p>
    </header>
    <p v-if="book.problem" class="problem" role="alert">{{ book.problem }} Nothing is lost; load the page again.</p>
    <div class="work">
      <div class="tables">
        <p v-if="book.loaded && !book.rows.length && !book.problem">
          {{
            session.staff
              ? 'Nothing is graded yet. Open Film and press Enter on a snap where everybody did his job.'
              : 'No grades of yours have been published yet.'
          }}
        </p>
        <template v-else-if="book.rows.length">
          <BookTable title="By man" first="Man" :lines="book.byMan" @open="book.open" />
          <BookTable title="By play" first="Play" :lines="book.byPlay" @open="book.open" />
          <BookTable title="By block" first="Block" :lines="book.byBlock" @open="book.open" />
        </template>
      </div>
      <aside v-if="book.opened" aria-label="Snaps behind the number">
        <h2>{{ book.opened.title }}: {{ MEASURED[book.opened.measure] }}</h2>
        <ol>
          <li v-for="r in book.opened.rows" :key="`${r.snapId} ${r.blocker}`">
            <NuxtLink :to="`/film/${r.snapId}`">
              <GradeMark :grade="r.grade" /> <b>Snap {{ r.snapNumber }}</b> <span>{{ r.blocker }}</span>
              <span class="soft line">{{ schemeName(r.scheme) }} {{ r.side }} against {{ r.front.toLowerCase() }}</span>
              <span v-if="r.grade.fault || r.grade.note" class="line">{{
                [r.grade.fault ? FAULTS[r.grade.fault].name : '', r.grade.note].filter(Boolean).join(': ')
              }}</span>
            </NuxtLink>
          </li>
        </ol>
      </aside>
      <aside v-else-if="book.rows.length" class="hint soft">
        Press a percentage: its snaps stand here, the misses first.
      </aside>
    </div>
  </div>
</template>

<style scoped>
header {
  padding: 14px 20px 10px;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 2px;
}
.problem {
  padding: 10px 20px;
  color: var(--broken);
  font-weight: 600;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
}
.tables {
  padding: 14px 20px;
  display: grid;
  gap: 24px;
  align-content: start;
}
aside {
  border-left: 1px solid var(--rule);
  padding: 14px 16px;
  font-size: 13px;
  min-height: 60vh;
}
aside ol {
  padding-top: 8px;
}
aside a {
  display: block;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  color: var(--ink);
  text-decoration: none;
}
aside a:hover b {
  color: var(--violet);
}
.line {
  display: block;
}
@media (max-width: 800px) {
  .work {
    grid-template-columns: 1fr;
  }
  aside {
    border-left: 0;
    min-height: 0;
  }
  .tables {
    padding: 12px;
    overflow-x: auto;
  }
}
</style>
