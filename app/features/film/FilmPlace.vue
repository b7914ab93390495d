<script setup lang="ts">
import { useEventListener, useLocalStorage } from '@vueuse/core';
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue';
import { useSeenSize } from '~/features/board/seen-size';
import { readFormation } from '#core/language/lineups/read-formation';
import { boardScale, columnsUnder, type Column } from '~/features/board/scale';
import { useStayOn } from '~/features/measure/stay-on';
import { cutOfQuery, type Cut } from '#core/film/log/cut';
import { releaseFocus } from '~/features/hands/in-field';
import { sinceSnap } from '#core/film/frames';
import { WRITING_HANDS } from '~/features/notes/keys';
import NoteOverlay from '~/features/notes/NoteOverlay.vue';
import NotePanel from '~/features/notes/NotePanel.vue';
import { saveCaptions } from '~/features/notes/save';
import { useHeldRep } from '~/features/beside/hold';
import FilmHands from './FilmHands.vue';
import FilmPair from './FilmPair.vue';
import KeyList from './KeyList.vue';
import GradePad from '~/features/pad/GradePad.vue';
import { useMarks } from '~/features/marks/store';
import ReelLine from './ReelLine.vue';
import SnapList from './SnapList.vue';
import SnapSentence from './SnapSentence.vue';
import TheyShowed from './TheyShowed.vue';
import { FILM_HANDS, useFilmKeys } from './keys';
import { snapAway } from './next-snap';
import { useNotesHere } from './notes-here';
import { pairHands } from './pair-hands';
import { useProposals } from '~/features/propose/use-proposals';
import { useReelHere } from './reel-here';
import { useRoom } from './room';
import { useFilm } from './store';

/** The board stands beside the film when somebody wants it, and brings the whole run with it. */
const AskedBoard = defineAsyncComponent(() => import('./AskedBoard.vue'));
const film = useFilm();
const { problem: filmProblem, pending: filmPending } = useProposals();
const box = useMarks();
const route = useRoute();
const pair = ref<InstanceType<typeof FilmPair> | null>(null);
const keys = ref<InstanceType<typeof KeyList> | null>(null);
const notes = ref<InstanceType<typeof NotePanel> | null>(null);
const pad = ref<InstanceType<typeof GradePad> | null>(null);

/** The numbers worn on this snap. */
const numbers = computed(() => Object.fromEntries((film.snap?.field ?? []).map((m) => [m.seat, m.number])));
const idOf = (param: unknown): number | null => (/^\d+$/.test(String(param ?? '')) ? Number(param) : null);
film.cut = cutOfQuery(route.query);
// Under way before the place is drawn: what has been asked for ahead is drawn at once.
const opened = film.open(idOf(route.params.id));
const isOpened = ref(false);
onMounted(async () => {
  releaseFocus();
  void box.resume();
  await opened;
  isOpened.value = true;
  await takeReel();
});
watch(
  () => route.params.id,
  (id) => {
    if (idOf(id) !== null && idOf(id) !== film.snap?.id) void film.open(idOf(id));
  },
);
watch(
  () => film.snap?.id,
  (id) => {
    if (id !== undefined && String(id) !== route.params.id)
      void navigateTo({ path: `/film/${id}`, query: { ...film.cut, ...reelWords() } }, { replace: true });
  },
);
useEventListener('online', () => void box.send());

const area = ref<HTMLElement | null>(null);
const { width } = useSeenSize(area);
const columns = computed<Column[]>(() => {
  const formation = film.snap ? readFormation(film.snap.call.formation) : null;
  if (!formation?.ok || width.value === 0) return [];
  return columnsUnder(
    formation.value.men.filter((m) => film.men.includes(m.id)),
    boardScale(formation.value, Math.max(560, width.value), 100),
  );
});

const stay = useStayOn(
  computed(() => film.snap?.id ?? null),
  computed(() => film.selected),
);
async function crop(): Promise<void> {
  await stay.toggle();
  pair.value?.near(stay.on.value ? 4 : 1);
}
/** Snaps behind a number of the Book, where the address names one. */
const { reel, words: reelWords, take: takeReel, step: stepInReel } = useReelHere();
function go(step: number): void {
  if (reel.words.value) return void stepInReel(step).then((there) => there || (run.value = false));
  const next = snapAway(film.inCut, film.snap?.number ?? 0, step);
  if (next) void film.open(next.id);
  else run.value = false;
}
/** Looks at other snaps: the address says which, and the first of them is opened when this one is none. */
function setCut(cut: Cut): void {
  film.cut = cut;
  const first = film.inCut[0];
  const isIn = film.inCut.some((s) => s.id === film.snap?.id);
  void navigateTo({ path: `/film/${isIn || !first ? film.snap?.id : first.id}`, query: cut }, { replace: true });
}
/** One snap of the cut after the other, nothing but the plays. */
const run = ref(false);
function runOn(): void {
  run.value = !run.value;
  if (run.value) pair.value?.transport.playAnew();
}
/** The next one is under way as soon as it can be seen. */
const ready = (): void => void (run.value && pair.value?.transport.playAnew());
watch(
  () => pair.value?.transport.ends.value,
  () => run.value && go(1),
);

const { writing, now, name, write, point, seekIn, seekAngle, picture, markFrame } = useNotesHere(pair, notes);
const handsTold = computed(() =>
  film.readOnly ? FILM_HANDS.filter((h) => !h.staff) : [...FILM_HANDS, ...WRITING_HANDS],
);

const place = ref<HTMLElement | null>(null);
const { inRoom, toggle: room } = useRoom(place);
const withBoard = useLocalStorage('violet-chalk-film-board', false);
const seconds = computed(() => {
  const lead = pair.value?.lead;
  return lead ? sinceSnap(now.frame.value, lead.snapFrame, lead.framesPerSecond) : 0;
});
const rep = useHeldRep(
  computed(() => film.snap),
  (id) => film.snaps.find((s) => s.id === id)?.number,
);
function beside(): void {
  const both = rep.choose();
  if (both) void navigateTo({ path: '/film/beside', query: { ...both, man: film.selected ?? undefined } });
}

const { naming, held } = useFilmKeys({
  frame: markFrame,
  undo: () => void film.undo(),
  columns,
  writing: writing.writing,
  inRoom,
  write,
  room: () => void room(),
  beside,
  board: () => (withBoard.value = !withBoard.value),
  ...pairHands(pair),
  markHere: (moment) => pair.value?.markHere(moment),
  help: () => void keys.value?.open(),
  crop: () => void crop(),
  measure: () => film.snap && void navigateTo(`/film/measure/${film.snap.id}`),
  go,
  run: runOn,
  note: () => pad.value?.writeNote(),
});
</script>

<template>
  <div ref="place" class="place" :class="{ room: inRoom }">
    <h1 class="visually-hidden">Film</h1>
    <SnapSentence v-if="film.snap" :plain="inRoom" />
    <p v-if="film.loadProblem" class="refused" role="alert">{{ film.loadProblem }} Your marks are safe.</p>
    <p v-if="stay.problem.value" class="refused waiting" role="status">{{ stay.problem.value }}</p>
    <p v-if="box.trouble" class="refused waiting" role="alert">{{ box.trouble }}</p>
    <ReelLine v-if="reel.words.value" :reel="reel" :snap="film.snap" @go="go" />
    <div class="work" :class="{ alone: film.readOnly || inRoom }">
      <section ref="area" class="area" aria-label="Film and grades">
        <!-- Drawn once, at the width it has. -->
        <template v-if="film.snap && width">
          <div class="screens" :class="{ board: withBoard }">
            <FilmPair
              ref="pair"
              :clips="film.snap.clips"
              :read-only="film.readOnly || inRoom"
              :pointing="writing.writing.value"
              :aim-at="stay.aimAt"
              :pass="film.snap.resolution.passing !== null"
              :play-only="run"
              :stacked="withBoard"
              @point="point"
              @ready="ready"
              @mark="film.markFrame"
            >
              <template #hands>
                <FilmHands
                  :snap-id="film.snap.id"
                  :read-only="film.readOnly"
                  :run="run"
                  :board="withBoard"
                  :in-room="inRoom"
                  :held="rep.held.value !== null"
                  :held-says="rep.says.value"
                  @run="runOn"
                  @write="write"
                  @board="withBoard = !withBoard"
                  @beside="beside"
                  @room="room()"
                />
              </template>
              <template #over="{ clip, leads, at, width: wide, height: high, unit }">
                <NoteOverlay
                  :width="wide"
                  :height="high"
                  :unit="unit"
                  :shapes="writing.shapesOn(clip, at)"
                  :cross="leads && writing.writing.value ? writing.cross.value : null"
                />
              </template>
            </FilmPair>
            <AskedBoard
              v-if="withBoard"
              :call="film.snap.call"
              :resolution="film.snap.resolution"
              :seconds="seconds"
              :selected="film.selected"
              :numbers="numbers"
              @select="film.selected = $event"
            />
          </div>
          <NotePanel
            ref="notes"
            :writing="writing"
            :notes="film.snap.notes"
            :clips="film.snap.clips"
            :now="now"
            :read-only="film.readOnly || inRoom"
            @seek="seekIn"
            @picture="picture"
            @captions="saveCaptions(name, film.snap)"
          />
          <TheyShowed v-if="film.theirs && !inRoom" @cut="setCut" />
          <GradePad
            v-else-if="!inRoom"
            ref="pad"
            :columns="columns"
            :numbers="numbers"
            :naming="naming"
            :held="held"
            :film-pending="filmPending"
            :film-problem="filmProblem"
            @next="go(1)"
            @seek="seekAngle"
            @frame="markFrame"
          />
        </template>
        <p v-else-if="isOpened && !film.snap && !film.loadProblem" class="empty">
          No snap is open.
          <template v-if="film.readOnly">Open one of yours from the Book.</template>
          <template v-else
            >A game appears here once it is logged: <NuxtLink to="/film/in">bring film in</NuxtLink>.</template
          >
        </p>
      </section>
      <SnapList v-if="!film.readOnly && !inRoom" @cut="setCut" />
    </div>
    <KeyList ref="keys" :hands="handsTold" />
  </div>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  height: 100%;
}
.refused {
  padding: 7px 20px;
  color: var(--broken);
  font-weight: 600;
  border-bottom: 1px solid var(--rule);
}
.waiting {
  color: var(--risk);
}
.work {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 206px;
  min-height: 0;
}
.work.alone {
  grid-template-columns: minmax(0, 1fr);
}
.area {
  padding: 10px 16px 12px 20px;
  min-width: 0;
  min-height: 0;
  overflow: auto;
  display: flex;
  flex-direction: column;
}
.screens {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  min-height: 250px;
  /* The film stays in sight while one goes down through what is marked of a man. */
  position: sticky;
  top: -10px;
  z-index: 2;
  background: var(--ground);
}
.screens.board {
  grid-template-columns: minmax(0, 1fr) minmax(0, 38%);
}
.room {
  position: fixed;
  inset: 0;
  z-index: 20;
  background: var(--ground);
}
.empty {
  padding: 60px 0;
  max-width: 420px;
}
@media (max-width: 800px) {
  .place {
    height: auto;
  }
  .work {
    grid-template-columns: 1fr;
  }
  .area {
    padding: 8px;
  }
  .screens {
    position: static;
  }
}
</style>
