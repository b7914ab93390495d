<script setup lang="ts">
import { computed } from 'vue';
import { gistWords } from '#core/paper/gist-words';
import type { Assignment } from '#core/model/resolution';
import StillPicture from '~/features/board/StillPicture.vue';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlan } from '~/features/plan/store';
import { usePlaybook } from '~/features/playbook/store';
import ChoiceRow from './ChoiceRow.vue';
import { useNight } from './store';

/** "Their linebackers are stacked now": a call, what is other than planned, and the men who do something else, drawn, each with his sentence. */
const night = useNight();
const plan = usePlan();
const playbook = usePlaybook();
/** Looks of the plan first, then every front of the book. */
const pictures = computed(() => [
  ...plan.plan.looks.map((l) => ({ front: l.front, frontName: l.frontName })),
  ...playbook.fronts.map((f) => ({ front: playbook.book.clauses('fronts', f.id), frontName: f.name })),
]);
const usual = computed(() => [...plan.plan.looks].sort((a, b) => b.weight - a.weight)[0]!);
function choosePlay(event: Event): void {
  const play = plan.plan.plays[Number((event.target as HTMLSelectElement).value)];
  night.asks = play ? { play, was: usual.value } : null;
}
function chooseNow(event: Event): void {
  night.now = pictures.value[Number((event.target as HTMLSelectElement).value)] ?? null;
}
const chooseNext = (says: string): void => void (night.now = night.nextOnes.find((p) => p.says === says) ?? null);
const say = (a: Assignment | null): string => (a ? gistWords(a).replace(`${a.blocker} `, '') : 'nothing');
const says = computed(() => {
  const { men, now } = night.changed!;
  const many = men.length === 0 ? 'Nobody does anything else' : `${men.length} do something else`;
  return `${many} than against ${night.asks!.was.frontName}; the call is ${now.resolution.verdict}.`;
});
const drawn = computed(() => {
  const { formation, front, resolution } = night.changed!.now;
  return { formation, front, resolution, identification: resolution.identification };
});
const only = computed(() => new Set(night.changed!.men.map((m) => m.seat)));
</script>

<template>
  <section aria-label="They show something else">
    <h2>They show something else now</h2>
    <p class="words">
      <label
        >On
        <select class="field" aria-label="Which call" @change="choosePlay">
          <option value="">which call</option>
          <option v-for="(p, i) in plan.plan.plays" :key="i" :value="i">{{ sayPlayOf(p) }}</option>
        </select></label
      >
      <label
        >against
        <select class="field" aria-label="What they show now" @change="chooseNow">
          <option value="">what now</option>
          <option v-for="(p, i) in pictures" :key="i" :value="i">{{ p.frontName }}</option>
        </select></label
      >
    </p>
    <ChoiceRow
      v-if="night.asks"
      :name="`What is other than in ${usual.frontName}`"
      :says="`or ${usual.frontName}, but`"
      :choices="night.nextOnes.map((p) => p.says)"
      :chosen="night.nextOnes.filter((p) => p.front === night.now?.front).map((p) => p.says)"
      @tap="chooseNext"
    />
    <template v-if="night.changed">
      <p role="status">{{ says }}</p>
      <StillPicture v-if="night.changed.men.length > 0" v-bind="drawn" :only="only" :height="260" />
      <dl>
        <div v-for="m in night.changed.men" :key="m.seat">
          <dt>{{ m.seat }}</dt>
          <dd>
            <s class="soft">{{ say(m.was) }}</s> <b>{{ say(m.is) }}</b>
            <span v-if="m.is" class="soft because">{{ m.is.because.sentence }}</span>
          </dd>
        </div>
      </dl>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 16px;
  font-size: 15px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  padding: 6px 0;
}
dl > div {
  display: grid;
  grid-template-columns: 36px minmax(0, 1fr);
  gap: 8px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
dt {
  font-weight: 800;
}
.because {
  display: block;
  font-size: 12.5px;
}
</style>
