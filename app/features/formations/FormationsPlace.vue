<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useSeenSize } from '~/features/board/seen-size';
import { hasErrors } from '#core/diagnostics/diagnostic';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { describePlaces } from '#core/reports/formation-places';
import { identify } from '#core/identify/identify';
import BoardFile from '~/features/board/BoardFile.vue';
import LineBoard from '~/features/board/LineBoard.vue';
import { useBoardHeight } from '~/features/board/room';
import { boardScale } from '~/features/board/scale';
import { inField } from '~/features/hands/in-field';
import BookList from '~/features/playbook/BookList.vue';
import { download } from '~/features/playbook/files';
import ImportFiles from '~/features/playbook/ImportFiles.vue';
import KeepForm from '~/features/playbook/KeepForm.vue';
import { useSession } from '~/features/session/store';
import { useFormations } from './store';

const f = useFormations();
const session = useSession();
const area = ref<HTMLElement | null>(null);
const { width } = useSeenSize(area);
const height = useBoardHeight(360, 460);
/** Deep enough for a back behind the quarterback, wide enough to tell receivers apart; feet. */
const VIEW = { shallow: -22, far: 4, wide: 15 };
const NOBODY = { id: 'nobody', name: 'nobody', defenders: [], movements: [] };
const scale = computed(() =>
  f.formation ? boardScale(f.formation, Math.max(560, width.value), height.value, VIEW) : null,
);
const identification = computed(() => (f.formation ? identify(f.formation, NOBODY) : null));
const places = computed(() => (f.formation ? describePlaces(f.formation) : []));
const wrong = computed(() => hasErrors(f.diagnostics));
onMounted(() => {
  if (!f.formation) f.open(f.id);
});
onKeyStroke((event) => {
  if (inField(event.target) || !(event.ctrlKey || event.metaKey) || event.key !== 'z') return;
  event.preventDefault();
  f.undo();
});
</script>

<template>
  <div class="place">
    <h1 class="visually-hidden">Formations</h1>
    <BookList shelf="formations" :current="f.id" label="Formations" @open="f.open" />
    <section class="middle">
      <header>
        <b class="name">{{ f.name }}</b>
        <div class="acts">
          <button class="plain link" type="button" @click="f.mirror">Mirror</button>
          <button class="plain link" type="button" @click="download(`${f.id}.chalk`, f.documentText(f.id, f.name))">
            Export
          </button>
          <BoardFile v-if="f.formation" :formation="f.formation" :front="NOBODY" :name="f.id" />
          <ImportFiles v-if="session.member?.role === 'coach'" :attempt="f.attempt" @problem="f.problem = $event" />
        </div>
      </header>
      <p v-if="f.problem" class="problem" role="alert">{{ f.problem }}</p>
      <p v-else-if="f.notice" class="notice" role="status">{{ f.notice }}</p>
      <div ref="area" class="area">
        <LineBoard
          v-if="f.formation && identification && scale && width > 0"
          :formation="f.formation"
          :front="NOBODY"
          :identification="identification"
          :resolution="null"
          :scale="scale"
          :columns="[]"
          :selected="f.selected"
          :numbers="{}"
          :movable="false"
          ours
          @select="f.selected = $event"
          @move-ours="f.move"
          @nudge-ours="f.nudge"
        />
      </div>
      <p class="hands soft">
        <button class="plain" type="button" :disabled="!f.before.length" @click="f.undo"><kbd>Ctrl Z</kbd> undo</button>
        <span
          ><kbd>Tab</kbd> to a man, <kbd>←</kbd> <kbd>→</kbd> <kbd>↑</kbd> <kbd>↓</kbd> move him half a foot; on the
          line his split changes</span
        >
      </p>
      <div class="below">
        <label class="typed"
          >The same formation in notation
          <textarea
            :value="f.text"
            rows="8"
            spellcheck="false"
            aria-label="Formation in notation"
            @input="f.type(($event.target as HTMLTextAreaElement).value)"
          />
          <span v-for="(d, i) in f.diagnostics.slice(0, 3)" :key="i" class="problem" role="alert"
            >line {{ d.span.line }}, column {{ d.span.column }}: {{ wordDiagnostic(d) }}</span
          >
        </label>
        <div class="tools">
          <p class="soft">
            The line from left to right with its ends: <i>LT LG C RG RT Y right</i>. Others by place or in feet:
            <i>Z wing right</i>, <i>H left</i>, <i>X wide left</i>, <i>F (2, -9)</i>, <i>B2</i>. Then
            <i>split RG 30in</i>, <i>over T left</i>, <i>motion H right</i>, <i>QB pistol</i>.
          </p>
          <KeepForm
            :id="f.id"
            shelf="formations"
            :wrong="wrong"
            example="Wing left, back deep"
            @save="f.save"
            @retire="f.retire"
          />
        </div>
      </div>
    </section>
    <aside aria-label="Where each man stands">
      <h2>Where each man stands</h2>
      <dl>
        <template v-for="p in places" :key="p.id"
          ><dt>
            <b>{{ p.id }}</b>
          </dt>
          <dd>{{ p.says }}</dd></template
        >
      </dl>
      <NuxtLink :to="{ path: '/walkthrough', query: { formation: f.dirty ? f.text.split('\n').join('; ') : f.id } }"
        >Walk a play from it</NuxtLink
      >
    </aside>
  </div>
</template>

<style scoped src="~/features/playbook/drawing-place.css"></style>
<style scoped>
.name {
  font-size: 17px;
}
</style>
