<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { format } from 'date-fns';
import { computed, onMounted, ref, watch } from 'vue';
import type { Ways } from '#core/calls/resolve-call';
import type { Rep, ScriptKind } from '#core/model/script';
import { coachScript, playersScript, scoutCards, uncoveredWords } from '#core/paper/script-sheets';
import { PAPERS, type Paper, type Sheet } from '#core/paper/sheet';
import { upperFirst } from '~/features/board/words';
import { savePdf } from '~/features/paper/make';
import { usePlan } from '~/features/plan/store';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeek } from '~/features/week/store';
import RepRow from './RepRow.vue';
import { useScripts } from './store';

/** Reps chosen from the plan, in the order that moves the scout team least, each marked with a tap. */
const scripts = useScripts();
const plan = usePlan();
const week = useWeek();
const playbook = usePlaybook();
const session = useSession();
const kind = ref<ScriptKind>('inside run');
const reps = ref(12);
const paper = ref<Paper>('A4');
onMounted(() => void scripts.readFilms());
const firstClip = ref('');
watch(
  () => scripts.clips,
  ([first]) => (firstClip.value ||= first ?? ''),
  { immediate: true },
);

const says = computed(() => {
  const { script, record } = scripts;
  if (!script) return 'Half line, inside run, pick-up, team: chosen by what is likely and what there is to lose.';
  const so = record.of ? ` ${record.good} of ${record.of} good so far.` : '';
  return `${upperFirst(scripts.kinds[script.kind].says)}. ${script.resets} places change between reps.${so}`;
});
const missed = computed(() => scripts.record.missed.map(([seat, n]) => `${seat} ${n}`).join(', '));
const ways = computed<Ways>(() => ({ playbook: playbook.book, settings: playbook.settings, words: playbook.words }));
const sayPlay = (rep: Rep): string => sayPlayOf(rep);
function print(make: (script: NonNullable<typeof scripts.script>, stamp: string) => Sheet, name: string): void {
  const { script } = scripts;
  if (!script) return;
  const stamp = `${session.member?.programName}, week ${week.game!.week}, ${week.game!.opponent}, made ${format(new Date(), 'd MMM HH:mm')}`;
  void savePdf(`${scripts.nameOf(script)} ${name}`, [make(script, stamp)], paper.value);
}
const printCoach = (): void => print((s, stamp) => coachScript(s, ways.value, { sayPlay, stamp }), 'coach');
const printPlayers = (): void => print((s, stamp) => playersScript(s, { sayPlay, stamp }), 'players');
const printCards = (): void => print((s, stamp) => scoutCards(s, ways.value, { sayPlay, stamp }, plan.plan), 'scout');
</script>

<template>
  <div class="place">
    <WeekHead title="Scripts" :says="says" />
    <p v-if="scripts.problem" class="page-problem" role="alert">{{ scripts.problem }}</p>
    <p v-if="week.game && !plan.isReady" class="none">
      A script is made from the plan. <NuxtLink to="/week/plan">Choose plays and looks</NuxtLink> first.
    </p>
    <template v-else-if="week.game">
      <form class="hands no-print" @submit.prevent="scripts.make(kind, reps)">
        <select v-model="kind" class="field" aria-label="What kind of script">
          <option v-for="(k, id) in scripts.kinds" :key="id" :value="id">{{ k.name }}</option>
        </select>
        <label v-if="kind !== 'walk-through'"
          ><input v-model.number="reps" class="field" type="number" min="1" max="60" required /> reps</label
        >
        <button class="strong" type="submit" :disabled="scripts.running">
          {{ scripts.running ? 'Choosing …' : 'Make it' }}
        </button>
        <template v-if="scripts.script">
          <span class="papers">
            <button class="plain link" type="button" @click="printCoach">Coach’s copy</button>
            <button class="plain link" type="button" @click="printPlayers">Players’ copy</button>
            <button class="plain link" type="button" @click="printCards">Scout cards</button>
            <select v-model="paper" class="field" aria-label="Paper">
              <option v-for="name in PAPERS" :key="name">{{ name }}</option>
            </select>
          </span>
        </template>
      </form>
      <nav v-if="scripts.scripts.length" class="which" aria-label="Scripts">
        <button
          v-for="s in scripts.scripts"
          :key="s.id"
          class="plain"
          type="button"
          :aria-current="s.id === scripts.script?.id"
          @click="scripts.chosen = s.id"
        >
          {{ scripts.nameOf(s) }}
        </button>
        <button v-if="scripts.script" class="plain drop" type="button" @click="scripts.drop(scripts.script.id)">
          throw this one away
        </button>
      </nav>
      <template v-if="scripts.script">
        <ul v-if="scripts.trust.length" class="trust" aria-label="With a yard to go">
          <li v-for="t in scripts.trust" :key="t.key">
            <b>{{ sayPlayOf(t.rep) }}</b>
            <span>{{ t.stands ? `stands ${t.stands} of ${t.of} of them` : 'has not stood its first rep' }}</span>
            <span class="soft"
              >{{ t.good }} of {{ t.tried }} good{{ t.lost.length ? `, lost by ${t.lost.join(', ')}` : '' }}</span
            >
          </li>
        </ul>
        <p v-if="scripts.script.film.length" class="after soft">
          Practice film is joined in order.
          <button class="plain link" type="button" @click="scripts.partFilm()">take it off again</button>
        </p>
        <form v-else-if="scripts.clips.length" class="hands no-print" @submit.prevent="scripts.joinFilm(firstClip)">
          <label>
            The first rep is on
            <select v-model="firstClip" class="field">
              <option v-for="c in scripts.clips" :key="c">{{ c }}</option>
            </select>
          </label>
          <button class="strong" type="submit">Join practice film in order</button>
          <span class="soft">{{ howMany(scripts.clips.length, 'clip') }} came in</span>
        </form>
        <ol class="reps">
          <RepRow v-for="(rep, i) in scripts.script.reps" :key="i" :script="scripts.script.id" :rep="rep" :at="i" />
        </ol>
        <p v-if="missed" class="after">Missed by: {{ missed }}.</p>
        <p v-if="scripts.script.uncovered.length" class="after soft">
          Not in it, the likeliest first: {{ uncoveredWords(scripts.script, 8) }}.
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.none {
  padding: 20px;
}
.hands,
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: baseline;
  padding: 10px 20px;
}
.hands input {
  width: 56px;
}
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  margin-left: auto;
  align-items: baseline;
}
.which {
  padding-top: 0;
  border-bottom: 1px solid var(--rule);
}
.which button {
  padding: 4px 2px;
  border-bottom: 3px solid transparent;
}
.which [aria-current='true'] {
  font-weight: 650;
  border-color: var(--violet);
}
.which .drop {
  margin-left: auto;
  color: var(--soft);
  font-size: 13px;
}
.trust {
  padding: 8px 20px 0;
}
.trust li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 4px 0;
}
.reps {
  padding: 4px 20px 10px;
}
.after {
  padding: 2px 20px 10px;
  font-size: 13px;
}
</style>
