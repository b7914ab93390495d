<script setup lang="ts">
import { onMounted, ref } from 'vue';
import type { OwnMark } from '#core/quiz/on-film';
import { sayBeside } from '#core/grade/say-grade';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlaybook } from '~/features/playbook/store';
import { useFilmQuiz } from './film';

/** One of his own snaps: stopped before the ball moves, then played; he marks himself before he sees what his coach wrote. */
const film = useFilmQuiz();
const playbook = usePlaybook();
const video = ref<HTMLVideoElement | null>(null);
onMounted(() => void film.next());

function freeze(): void {
  if (video.value) video.value.currentTime = film.frozenAt;
}
async function say(whom: string): Promise<void> {
  film.say(whom);
  await play();
}
async function play(): Promise<void> {
  if (!video.value) return;
  video.value.currentTime = film.frozenAt;
  await video.value.play().catch(() => undefined);
}
function stopAtWhistle(): void {
  if (video.value && film.endsAt > film.frozenAt && video.value.currentTime >= film.endsAt) video.value.pause();
}
/** Both marks, in the order in which a coach gives them. */
const MARKS: readonly (readonly { readonly says: string; readonly mark: Partial<OwnMark> }[])[] = [
  [
    { says: 'right man', mark: { assignment: 'right' } },
    { says: 'wrong man', mark: { assignment: 'wrong' } },
  ],
  [
    { says: 'done well', mark: { technique: 'plus' } },
    { says: 'not done well', mark: { technique: 'minus' } },
  ],
];
const isGiven = (mark: Partial<OwnMark>): boolean =>
  mark.assignment ? film.own.assignment === mark.assignment : film.own.technique === mark.technique;
</script>

<template>
  <p v-if="film.problem" class="problem" role="alert">{{ film.problem }}</p>
  <p v-else-if="!film.snap && film.marked && film.left.length === 0" class="soft">
    No snap of yours is left to look at. They come with every game your coach publishes.
    <button v-if="film.marked.length" class="plain link" type="button" @click="film.again()">see them again</button>
  </p>
  <template v-if="film.snap && film.asked && film.clip">
    <p class="play">
      <b>{{ sayPlayOf(film.snap.call) }}</b>
      <span class="soft">
        you are {{ film.asked.blocker }}, week {{ film.asked.week }} against {{ film.asked.opponent }}, snap
        {{ film.asked.number }}</span
      >
    </p>
    <video
      ref="video"
      :src="`/api/clips/${film.clip.id}`"
      muted
      playsinline
      preload="auto"
      :aria-label="`Film from the ${film.clip.angle}`"
      @loadeddata="freeze"
      @timeupdate="stopAtWhistle"
    />
    <template v-if="film.said === null">
      <p class="asks">Whom do you block?</p>
      <div class="hands men">
        <button v-for="d in film.theirs" :key="d.id" type="button" class="big" @click="say(d.id)">
          {{ d.id }} <span class="soft">{{ d.label }}</span>
        </button>
      </div>
    </template>
    <template v-else>
      <p :class="film.said === film.asked.asked.target ? 'verdict' : 'verdict wrong'">
        {{ film.said === film.asked.asked.target ? `Right: ${film.said}.` : `${film.asked.asked.target} was yours.` }}
        <button class="plain link again" type="button" @click="play">see it again</button>
      </p>
      <p class="asks">How did you do it?</p>
      <div v-for="(marks, i) in MARKS" :key="i" class="hands">
        <button
          v-for="m in marks"
          :key="m.says"
          type="button"
          class="big"
          :aria-pressed="isGiven(m.mark)"
          :disabled="film.isMarked"
          @click="film.mark(m.mark)"
        >
          {{ m.says }}
        </button>
      </div>
      <section v-if="film.same" class="answer" aria-live="polite">
        <p class="verdict" :class="{ wrong: !film.same.assignment || !film.same.technique }">
          {{
            film.same.assignment && film.same.technique
              ? 'You see it as your coach does.'
              : 'Your coach saw it otherwise.'
          }}
        </p>
        <p>
          Your coach: assignment {{ film.asked.grade.assignment }}, technique {{ film.asked.grade.technique }}.
          {{ sayBeside(film.asked.grade, playbook.program.faults) }}
        </p>
        <button class="strong next" type="button" @click="film.next()">Next</button>
      </section>
    </template>
  </template>
</template>

<style scoped src="./phone.css"></style>
<style scoped>
video {
  width: 100%;
  background: var(--rule);
}
.men .big {
  min-width: 76px;
}
.again {
  font-size: 14px;
  font-weight: 400;
}
[aria-pressed='true'] {
  background: var(--wash);
}
</style>
