<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, onMounted, ref } from 'vue';
import { gradePages } from '#core/paper/grade-pages';
import { PAPERS, type Paper, type Sheet } from '#core/paper/sheet';
import { gradeSheet } from '#core/reports/grade-sheet';
import type { BookLine } from '#core/grade/book/lines';
import { BookPageSchema } from '#core/grade/book/lines';
import { faultName } from '#core/model/faults';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { schemeName } from '~/features/board/scheme-names';
import { queryOf, readEverySnap } from '~/features/book/store';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import { savePdf } from '~/features/paper/make';

/** Grade sheets on paper: one for each man, or for a unit together. */
const session = useSession();
const playbook = usePlaybook();
const route = useRoute();
const problem = ref('');
const attempt = attempting(problem);
const men = ref<BookLine[]>([]);
const units = ref<BookLine[]>([]);
const games = ref<BookLine[]>([]);
const chosen = ref<string[]>([]);
const paper = ref<Paper>('A4');
const busy = ref('');
const game = computed(() => (route.query.game ? String(route.query.game) : null));
const filter = computed(() => (game.value ? { game: [game.value] } : {}));
const of = computed(() => games.value.find((g) => g.key === game.value)?.label ?? 'All games');

const lines = async (by: string, more = {}): Promise<BookLine[]> =>
  BookPageSchema.parse(await request(`/api/book?${queryOf(more, { by })}`)).lines;
onMounted(() =>
  attempt(async () => {
    [men.value, units.value, games.value] = await Promise.all([
      lines('man', filter.value),
      session.staff ? lines('unit', filter.value) : [],
      lines('game'),
    ]);
    chosen.value = men.value.map((m) => `man ${m.key}`);
  }),
);

async function sheetOf(key: string): Promise<Sheet> {
  const [kind, ...rest] = key.split(' ') as ['man' | 'unit', ...string[]];
  const value = rest.join(' ');
  const line = (kind === 'man' ? men : units).value.find((l) => l.key === value)!;
  const marks = await readEverySnap({ ...filter.value, [kind]: [value] });
  const words = {
    play: (scheme: string, side: string) => `${schemeName(scheme)} ${side}`,
    block: (block: string) => BLOCKS[block as BlockId]?.name ?? block,
    fault: (fault: string) => faultName(fault, playbook.program.faults),
    own: playbook.program.faults ?? [],
  };
  const heads = { title: line.label, subtitle: `${session.member?.programName}, ${of.value}` };
  return gradePages(gradeSheet(marks, heads, words));
}
const make = (): Promise<boolean> =>
  attempt(async () => {
    const sheets: Sheet[] = [];
    for (const key of chosen.value) {
      busy.value = `${sheets.length + 1} of ${chosen.value.length}`;
      sheets.push(await sheetOf(key));
    }
    await savePdf(`grades ${of.value.toLowerCase()}`, sheets, paper.value);
    busy.value = '';
  });
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>Grade sheets: {{ of }}</h1>
      <p class="soft">
        A page or more for each, legible in black and white. They are records about people: hand each man his own.
      </p>
    </header>
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <form class="choose" @submit.prevent="make">
      <p v-if="!men.length && !problem" class="soft">Nothing is graded there.</p>
      <fieldset v-if="men.length">
        <legend>Men</legend>
        <label v-for="m in men" :key="m.key"
          ><input v-model="chosen" type="checkbox" :value="`man ${m.key}`" /> {{ m.label }}
          <span class="soft">{{ howMany(m.marks, 'mark') }}</span></label
        >
      </fieldset>
      <fieldset v-if="units.length">
        <legend>Units</legend>
        <label v-for="u in units" :key="u.key"
          ><input v-model="chosen" type="checkbox" :value="`unit ${u.key}`" /> {{ u.label }}
          <span class="soft">{{ howMany(u.marks, 'mark') }}</span></label
        >
      </fieldset>
      <p v-if="men.length" class="ways">
        <label
          >Paper
          <select v-model="paper" class="field">
            <option v-for="name in PAPERS" :key="name" :value="name">{{ name }}</option>
          </select></label
        >
        <button class="strong" type="submit" :disabled="!chosen.length || busy !== ''">
          {{ busy ? `Writing ${busy}` : `${howMany(chosen.length, 'sheet')} as PDF` }}
        </button>
      </p>
    </form>
  </div>
</template>

<style scoped>
.choose {
  padding: 14px 20px;
  display: grid;
  gap: 14px;
  max-width: 520px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
legend {
  font-weight: 700;
  font-size: 13px;
  color: var(--soft);
  padding-bottom: 4px;
}
.ways {
  display: flex;
  gap: 20px;
  align-items: center;
}
</style>
