<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { sayCause } from '#core/grade/free/first-cause';
import { ReadMarkSchema, type FreeMan, type ReadMark } from '#core/model/finding';
import { useFilm } from '~/features/film/store';
import { useFinding } from './store';

/** Beside the marks of the line: who came free and whose he was, how the snap failed, what back and passer decided. */
const film = useFilm();
const found = useFinding();
watch(
  () => film.snap?.id,
  (id) => {
    if (id !== undefined && !film.readOnly) void found.open(id);
  },
  { immediate: true },
);

const defenders = computed(() => film.snap?.resolution.defenders.map((d) => d.id) ?? []);
const men = computed(() => film.men);
const isFree = (id: string): boolean => found.finding.free.some((f) => f.defender === id);
const isThrow = computed(() => film.snap?.resolution.passing != null);
/** The decisions there are on this snap: of a throw when and where, of a run the cut and the read. */
const reads = computed<{ seat: string; read: ReadMark['read'] }[]>(() =>
  isThrow.value
    ? [{ seat: 'QB', read: 'throw' }]
    : [
        { seat: 'B', read: 'cut' },
        { seat: 'QB', read: 'give' },
        { seat: 'QB', read: 'keep' },
      ],
);
const READ_MARKS = ReadMarkSchema.shape.mark.options;
const markOf = (seat: string, read: string): ReadMark['mark'] | undefined =>
  found.finding.reads.find((r) => r.seat === seat && r.read === read)?.mark;
const cause = computed(() => found.finding.cause ?? found.proposed);
const decided = computed(() => found.finding.cause?.verdict ?? null);

const asking = ref('');
const question = ref('');
function begin(free: FreeMan): void {
  asking.value = free.defender;
  question.value = free.rule.says.slice(0, 300);
}
async function ask(): Promise<void> {
  if (question.value.trim() && (await found.askRule(asking.value, question.value.trim()))) asking.value = '';
}
const VERDICTS = { accepted: 'so it was', changed: 'it was another’s', asked: 'asked' } as const;
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
const summary = computed(() => {
  const { free, questions } = found.finding;
  const said = [
    free.length ? `${free.map((f) => f.defender).join(' and ')} free` : '',
    decided.value && cause.value ? sayCause(cause.value) : '',
    questions.length ? `${questions.length} asked` : '',
  ].filter(Boolean);
  return said.join('; ');
});
</script>

<template>
  <OpenedPart v-if="film.snap" class="finding" kept-as="violet-chalk-finding">
    <template #summary
      >What happened <span class="soft">{{ summary }}</span></template
    >
    <p v-if="found.problem" class="problem" role="alert">{{ found.problem }}</p>
    <div class="line">
      <span class="soft">Who came free?</span>
      <button
        v-for="d in defenders"
        :key="d"
        class="plain man"
        type="button"
        :aria-pressed="isFree(d)"
        @click="found.free(d)"
      >
        {{ d }}
      </button>
    </div>
    <article v-for="f in found.finding.free" :key="f.defender">
      <p>{{ f.rule.says }}</p>
      <p class="line">
        <b v-if="f.verdict">{{ VERDICTS[f.verdict] }}{{ f.charged.length ? `: ${f.charged.join(' and ')}` : '' }}</b>
        <button
          class="plain link"
          type="button"
          :disabled="f.verdict === 'accepted'"
          @click="found.judge(f.defender, { verdict: 'accepted', charged: f.rule.men })"
        >
          so it was
        </button>
        <label class="soft"
          >another’s
          <select
            class="field"
            :value="f.verdict === 'changed' ? (f.charged[0] ?? '') : ''"
            @change="chosen($event) && found.judge(f.defender, { verdict: 'changed', charged: [chosen($event)] })"
          >
            <option value="">…</option>
            <option v-for="m in men" :key="m" :value="m">{{ m }}</option>
          </select></label
        >
        <button class="plain link" type="button" @click="begin(f)">ask about the rule</button>
      </p>
      <form v-if="asking === f.defender" class="line" @submit.prevent="ask">
        <input v-model="question" class="field wide" maxlength="500" aria-label="Question about the rule" />
        <button class="plain link" type="submit">file it with this front</button>
        <button class="plain link" type="button" @click="asking = ''">leave it</button>
      </form>
    </article>
    <p v-for="(q, i) in found.finding.questions" :key="i" class="line soft">
      Asked about {{ q.about }}: {{ q.text }}
      <button class="plain link" type="button" @click="found.dropQuestion(i)">take back</button>
    </p>
    <div v-if="cause" class="line">
      <span class="soft">How it went wrong</span>
      <span>{{ sayCause(cause) }}</span>
      <button
        class="plain link"
        type="button"
        :disabled="decided === 'accepted'"
        @click="found.setCause({ ...cause, verdict: 'accepted' })"
      >
        so it was
      </button>
      <label class="soft"
        >it began with
        <select
          class="field"
          :value="decided === 'changed' ? (cause.root ?? '') : ''"
          @change="chosen($event) && found.setCause({ ...cause, root: chosen($event), verdict: 'changed' })"
        >
          <option value="">…</option>
          <option v-for="c in cause.chain" :key="c.man" :value="c.man">{{ c.man }}</option>
        </select></label
      >
    </div>
    <div class="line">
      <span class="soft">Not the line’s</span>
      <span v-for="r in reads" :key="`${r.seat} ${r.read}`" class="read">
        {{ r.seat }} {{ r.read }}
        <OneOf
          :value="markOf(r.seat, r.read)"
          :options="READ_MARKS"
          @choose="found.setRead({ ...r, mark: $event ?? markOf(r.seat, r.read)!, note: '' })"
        />
      </span>
    </div>
  </OpenedPart>
</template>

<style scoped>
.finding {
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
.finding > * + * {
  margin-top: 6px;
}
.finding > :deep(summary) {
  cursor: pointer;
  font-weight: 600;
}
.finding > :deep(summary) .soft {
  font-weight: 400;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.man {
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 0 6px;
}
[aria-pressed='true'] {
  color: var(--violet);
  font-weight: 700;
  border-color: var(--violet);
}
article {
  border-left: 3px solid var(--rule);
  padding-left: 10px;
}
.read {
  display: inline-flex;
  gap: 8px;
}
.problem {
  color: var(--broken);
}
.wide {
  flex: 1;
  min-width: 200px;
  max-width: none;
}
</style>
