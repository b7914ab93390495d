<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import type { HuddleQuestion } from '#core/model/huddle';
import { workCall } from '#core/calls/resolve-call';
import { isSamePlay, sharesOf } from '#core/model/week-plan';
import { callsOf } from '#core/plan/work-plan';
import { usePlan } from '~/features/plan/store';
import { sayPlayOf } from '~/features/plan/say-play';
import QuizBoard from '~/features/quiz/QuizBoard.vue';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeek } from '~/features/week/store';
import { useWeekRooms } from '~/features/week/rooms';
import { useLine } from './line';
import { useHuddle } from './store';

/** The screen in front of the room: what is asked, who has said whom, who is free, and what was called out in which order. */
const { to } = useWeekRooms();
const week = useWeek();
const plan = usePlan();
const huddle = useHuddle();
const { isUp } = useLine(huddle.news);
const silent = ref(false);
onMounted(() => void huddle.read());

/** Everything the week asks, the likeliest first. */
const calls = computed(() => {
  if (!plan.isReady) return [];
  const shares = sharesOf(plan.plan.looks);
  return callsOf(plan.plan)
    .map(({ play, look, call }) => ({ call, times: plan.plan.plays[play]!.times * shares[look]! }))
    .sort((a, b) => b.times - a.times);
});
const nameOf = (at: number): string => {
  const { call } = calls.value[at]!;
  return `${sayPlayOf(call)} against ${call.frontName}`;
};
const at = ref(0);
/** A screen that comes later goes on where the huddle is. */
watch([() => huddle.huddle?.number, calls], () => {
  const now = huddle.huddle?.call;
  const found = calls.value.findIndex(
    ({ call }) => now && isSamePlay(call, now) && call.formation === now.formation && call.frontName === now.frontName,
  );
  if (found >= 0) at.value = found;
  if (huddle.huddle) silent.value = huddle.huddle.silent;
});
const questionAt = (which: number): HuddleQuestion => ({
  call: calls.value[which]!.call,
  ...{ says: '', silent: silent.value },
});
/** What it would begin with, before anybody is asked. */
const preview = computed(() => {
  const first = calls.value[at.value];
  const found = first ? workCall(first.call, huddle.ways) : null;
  return found?.ok ? found.value : null;
});
const begin = (): Promise<boolean> => huddle.open(week.game!.id, questionAt(at.value));
async function go(which: number): Promise<void> {
  if (await huddle.ask(questionAt(which))) at.value = which;
}
const next = (): Promise<void> => go((at.value + 1) % calls.value.length);
const move = (): Promise<boolean> => huddle.ask(huddle.moved!);

const isShown = computed(() => huddle.huddle?.stage === 'shown');
/** Silence on the screen too, until it is shown. */
const isHidden = computed(() => huddle.huddle?.silent === true && !isShown.value);
/** What is right, once it is shown: from every man to his. */
const rightLinks = computed(() =>
  (huddle.worked?.resolution.assignments ?? [])
    .filter((a) => a.target !== null)
    .map((a) => ({ seat: a.blocker, whom: a.target!, tone: 'right' as const })),
);
const links = computed(() => {
  const { stand, huddle: h } = huddle;
  if (!h || !stand || isHidden.value) return [];
  if (isShown.value) {
    const wrong = h.said.filter((s) => !rightLinks.value.some((r) => r.seat === s.seat && r.whom === s.whom));
    return [...wrong.map(({ seat, whom }) => ({ seat, whom, tone: 'wrong' as const })), ...rightLinks.value];
  }
  const two = new Set(stand.twoOn.flatMap((t) => t.men));
  return h.said.map(({ seat, whom }) => ({ seat, whom, tone: two.has(seat) ? ('two' as const) : ('said' as const) }));
});
const free = computed(() => (isHidden.value ? [] : (huddle.stand?.free ?? [])));
const places = computed(() => {
  const men = huddle.huddle?.men ?? [];
  const seats = huddle.worked?.resolution.assignments.filter((a) => a.target !== null).map((a) => a.blocker) ?? [];
  const all = [...new Set([...seats, ...men.map((m) => m.seat)])];
  return all.map((seat) => {
    const here = men.filter((m) => m.seat === seat);
    return { seat, here: here.length, answered: here.filter((m) => m.hasAnswered).length };
  });
});
const sayPlace = ({ here, answered }: { here: number; answered: number }): string =>
  here === 0 ? 'nobody' : answered === here ? 'has said' : here === 1 ? 'thinks' : `${answered} of ${here}`;
const says = computed(() => {
  if (!huddle.huddle) return 'Everybody answers on his phone; the screen shows who has whom.';
  return `${huddle.huddle.men.length} in it${isUp.value ? '' : ', no line just now'}.`;
});
</script>

<template>
  <div class="place">
    <WeekHead title="Whole line" :says="says" />
    <p v-if="huddle.problem" class="page-problem" role="alert">{{ huddle.problem }}</p>
    <p v-if="week.game && !plan.isReady" class="page-parts">
      It asks the week’s plan. <NuxtLink :to="to('/week/plan')">Choose plays and looks</NuxtLink>
    </p>
    <section v-else-if="week.game && huddle.isKnown && !huddle.huddle" class="page-parts begin" aria-label="Begin">
      <label>
        Begin with
        <select v-model.number="at">
          <option v-for="(c, i) in calls" :key="i" :value="i">{{ nameOf(i) }}</option>
        </select>
      </label>
      <label
        ><input v-model="silent" type="checkbox" /> Silent, as in a loud stadium: nobody speaks, nobody sees the
        others</label
      >
      <button type="button" class="strong" @click="begin">Call the line together</button>
      <QuizBoard
        v-if="preview"
        class="preview"
        :worked="preview"
        seat=""
        asks="nobody"
        :chosen="[]"
        :right="[]"
        :own-eyes="false"
      />
      <p class="soft">Players open “Whole line” under Quiz on their phones; several may share a place.</p>
    </section>
    <div v-else-if="huddle.huddle && huddle.worked" class="screen">
      <section class="board" aria-label="Board">
        <p class="play">
          <b>{{ sayPlayOf(huddle.huddle.call) }}</b>
          <span v-if="huddle.huddle.says"> now {{ huddle.huddle.says }}</span>
        </p>
        <QuizBoard
          :worked="huddle.worked"
          seat=""
          asks="nobody"
          :chosen="[]"
          :free="free"
          :right="[]"
          :own-eyes="false"
          :links="links"
        />
        <p class="stand" role="status">{{ isHidden ? 'Silent: it is seen when it is shown.' : huddle.says }}</p>
      </section>
      <aside>
        <div class="hands">
          <button v-if="!isShown" type="button" class="strong" @click="huddle.show()">Show what is right</button>
          <button v-if="isShown && huddle.moved" type="button" class="strong" @click="move">They move</button>
          <button v-if="isShown" type="button" class="strong" @click="next">Next</button>
        </div>
        <h2>Places</h2>
        <ul class="places">
          <li v-for="p in places" :key="p.seat" :class="{ done: p.here > 0 && p.answered === p.here }">
            <b>{{ p.seat }}</b> <span>{{ sayPlace(p) }}</span>
          </li>
        </ul>
        <template v-if="!huddle.huddle.silent && huddle.stand?.calls.length">
          <h2>Words, in their order</h2>
          <ol class="words">
            <li v-for="c in huddle.stand.calls" :key="c.seat" :class="{ wrong: c.said !== null && !c.isRight }">
              <b>{{ c.seat }}</b>
              <span v-if="c.said">“{{ c.said }}”</span>
              <span v-else class="soft">{{ c.isLate ? 'was to speak before' : 'to speak' }}</span>
              <span v-if="isShown && !c.isRight" class="soft"> it is “{{ c.word }}”</span>
            </li>
          </ol>
        </template>
        <h2>Then</h2>
        <label class="then">
          <select :value="at" aria-label="Ask this" @change="go(Number(($event.target as HTMLSelectElement).value))">
            <option v-for="(c, i) in calls" :key="i" :value="i">{{ nameOf(i) }}</option>
          </select>
        </label>
        <label><input v-model="silent" type="checkbox" /> Silent from the next one on</label>
        <button type="button" class="plain link" @click="huddle.close()">Send the line home</button>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.begin {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 640px;
}
.preview {
  width: 520px;
  max-width: 100%;
}
.screen {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 0 28px;
  padding: 4px 22px 24px;
}
.board {
  display: grid;
  gap: 6px;
}
.board :deep(svg) {
  width: 100%;
  max-height: calc(100vh - 300px);
}
.play {
  font-size: 26px;
}
.stand {
  font-size: 24px;
  font-weight: 650;
  min-height: 32px;
}
aside {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: start;
}
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
h2 {
  font-size: 15px;
  margin-top: 8px;
}
ul,
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
.places {
  display: grid;
  grid-template-columns: repeat(2, 132px);
  gap: 2px 12px;
}
.places li {
  display: flex;
  gap: 8px;
  border-bottom: 1px solid var(--rule);
  color: var(--soft);
}
.places b {
  min-width: 28px;
  color: var(--ink);
}
.places .done {
  color: var(--sound);
  font-weight: 600;
}
.words li {
  font-size: 17px;
}
.wrong {
  color: var(--broken);
}
select {
  font: inherit;
  max-width: 300px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 4px 6px;
}
@media (max-width: 760px) {
  .screen {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
