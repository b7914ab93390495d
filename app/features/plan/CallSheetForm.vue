<script setup lang="ts">
import { computed, ref } from 'vue';
import { CALL_SITUATION_IDS, CALL_SITUATIONS, type CallSituation } from '#core/model/call-situations';
import { PlannedAnswerSchema, type PlannedAnswer } from '#core/model/week-plan';
import { sayPlayOf } from './say-play';
import { usePlan } from './store';

/** When each play is called, and which of their signs it answers: the call sheet is laid out by it. */
const plan = usePlan();
const has = (play: number, id: CallSituation): boolean => plan.plan.plays[play]!.when?.includes(id) ?? false;
function toggle(play: number, id: CallSituation): void {
  const before = plan.plan.plays[play]!.when ?? [];
  const when = CALL_SITUATION_IDS.filter((s) => (s === id ? !before.includes(s) : before.includes(s)));
  void plan.changePlay(play, { when });
}

const answers = computed(() => plan.plan.answers ?? []);
const sign = ref('');
const seen = ref('');
const play = ref(0);
const problem = ref('');
async function add(): Promise<void> {
  const { scheme, side, tags } = plan.plan.plays[play.value]!;
  const read = PlannedAnswerSchema.safeParse({ sign: sign.value, seen: seen.value, scheme, side, tags });
  problem.value = read.success ? '' : `What do they show? ${read.error.issues[0]!.message}.`;
  if (read.success && (await plan.changeAnswers([...answers.value, read.data]))) [sign.value, seen.value] = ['', ''];
}
const drop = (which: PlannedAnswer): Promise<boolean> => plan.changeAnswers(answers.value.filter((a) => a !== which));
</script>

<template>
  <section aria-label="Call sheet">
    <h2>When we call it</h2>
    <div class="page-scroller" tabindex="0" role="region" aria-label="Plays by situation">
      <table>
        <thead>
          <tr>
            <th scope="col">Play</th>
            <th v-for="(name, id) in CALL_SITUATIONS" :key="id" scope="col">{{ name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(p, i) in plan.plan.plays" :key="`${p.scheme} ${p.side} ${p.tags} ${p.formation}`">
            <th scope="row">{{ sayPlayOf(p) }}</th>
            <td v-for="(name, id) in CALL_SITUATIONS" :key="id">
              <input
                type="checkbox"
                :checked="has(i, id)"
                :aria-label="`${sayPlayOf(p)}: ${name}`"
                @change="toggle(i, id)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <h2>What answers what</h2>
    <ul v-if="answers.length">
      <li v-for="a in answers" :key="`${a.sign} ${a.scheme} ${a.side} ${a.tags}`">
        <span>{{ a.sign }}</span>
        <span class="soft">{{ a.seen }}</span>
        <b>{{ sayPlayOf(a) }}</b>
        <button class="plain drop" type="button" :aria-label="`Without the answer to ${a.sign}`" @click="drop(a)">
          ×
        </button>
      </li>
    </ul>
    <form aria-label="One more answer" @submit.prevent="add">
      <label
        >When they <input v-model="sign" class="field sign" placeholder="walk the end up wide" maxlength="120"
      /></label>
      <label>seen <input v-model="seen" class="field seen" placeholder="8 of 11" maxlength="40" /></label>
      <label
        >we call
        <select v-model.number="play" class="field">
          <option v-for="(p, i) in plan.plan.plays" :key="i" :value="i">{{ sayPlayOf(p) }}</option>
        </select></label
      >
      <button class="strong" type="submit">Put it in</button>
      <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
    </form>
  </section>
</template>

<style scoped>
section {
  padding: 8px 20px 14px;
  border-bottom: 1px solid var(--rule);
}
table {
  border-collapse: collapse;
  font-variation-settings: var(--narrow);
  font-size: 13px;
}
th,
td {
  text-align: left;
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--rule);
}
thead th {
  font-size: 12px;
  max-width: 92px;
  vertical-align: bottom;
  line-height: 1.2;
  border-bottom: 2px solid var(--ink);
}
tbody th {
  min-width: 190px;
  font-weight: 600;
}
h2 + ul {
  margin-top: 4px;
}
h2:not(:first-child) {
  margin-top: 12px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) 80px minmax(0, 1fr) 24px;
  gap: 12px;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
  max-width: 860px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: baseline;
  margin-top: 8px;
}
.sign {
  width: 240px;
}
.seen {
  width: 84px;
}
.problem {
  color: var(--broken);
}
</style>
