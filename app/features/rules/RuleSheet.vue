<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, ref } from 'vue';
import { hasErrors } from '#core/diagnostics/diagnostic';
import { cautionsOfSheet } from '#core/reports/cautions';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import type { Side } from '#core/model/side';
import { download } from '~/features/playbook/files';
import FrontStrip from './FrontStrip.vue';
import ProofPanel from './ProofPanel.vue';
import RuleBuilder from './RuleBuilder.vue';
import RuleText from './RuleText.vue';
import VersionPanel from './VersionPanel.vue';
import { useRules } from './store';

const rules = useRules();
const playbook = usePlaybook();
const session = useSession();
const view = ref<'text' | 'sentences'>('text');
const editor = ref<InstanceType<typeof RuleText> | null>(null);
const copying = ref<{ id: string; name: string } | null>(null);
const renaming = ref<string | null>(null);
const errors = computed(() => rules.diagnostics.filter((d) => d.severity === 'error'));
const cautions = computed(() => (rules.tree ? cautionsOfSheet(rules.tree, playbook.settings.levelOfPlay) : []));
const warnings = computed(() => rules.diagnostics.filter((d) => d.severity === 'warning'));
const coach = computed(() => session.member?.role === 'coach');
const canSave = computed(() => rules.dirty && session.staff && (coach.value || rules.document !== null));

async function save(draft: boolean): Promise<void> {
  if (canSave.value && (draft || !hasErrors(rules.diagnostics))) await rules.save(draft);
}
async function copy(): Promise<void> {
  const { id, name } = copying.value!;
  if (!(await rules.copy(id.trim(), name.trim()))) return;
  copying.value = null;
  await navigateTo(`/rules/${id.trim()}`);
}
/** The name stands in the first line of the text; the short name stays, so that snaps logged with it still find it. */
function rename(): void {
  rules.text = rules.text.replace(
    /^(\s*scheme\s+\S+\s+)"[^"\n]*"/m,
    (_, lead: string) => `${lead}"${renaming.value!.trim().replace(/"/g, '')}"`,
  );
  renaming.value = null;
}
async function show(): Promise<void> {
  const { document } = rules;
  if (!document || !(await rules.attempt(() => playbook.shelve(document, { players: !document.players })))) return;
  rules.notice = document.players ? 'Players no longer see this page.' : 'Players see this page now.';
}
async function retire(): Promise<void> {
  const { document } = rules;
  if (document && (await rules.attempt(() => playbook.shelve(document, { retired: true })))) await navigateTo('/rules');
}
const goTo = (line: number): void => {
  view.value = 'text';
  setTimeout(() => editor.value?.goTo(line));
};
onKeyStroke('s', (event) => {
  if (!event.ctrlKey && !event.metaKey) return;
  event.preventDefault();
  void save(!coach.value);
});
</script>

<template>
  <div class="sheet">
    <header>
      <NuxtLink to="/rules" class="back">Rules</NuxtLink>
      <h1>{{ rules.tree?.name ?? rules.id }}</h1>
      <span class="soft">{{
        rules.shipped ? 'as shipped; saving makes it your own' : `version ${rules.document?.version ?? 0}`
      }}</span>
      <div class="acts">
        <button
          v-if="coach"
          class="plain link"
          type="button"
          :disabled="!canSave || errors.length > 0"
          @click="save(false)"
        >
          <kbd>Ctrl S</kbd> Save
        </button>
        <button v-if="rules.document" class="plain link" type="button" :disabled="!canSave" @click="save(true)">
          Keep as draft
        </button>
        <button class="plain link" type="button" :disabled="errors.length > 0" @click="rules.format">Tidy</button>
        <button
          v-if="coach"
          class="plain link"
          type="button"
          @click="copying = { id: `${rules.id}-2`, name: `${rules.tree?.name ?? ''}, ours` }"
        >
          Copy
        </button>
        <button class="plain link" type="button" @click="renaming = rules.tree?.name ?? ''">Rename</button>
        <button class="plain link" type="button" @click="download(`${rules.id}.chalk`, rules.text)">Export</button>
        <button v-if="coach && rules.document" class="plain link" type="button" @click="show">
          {{ rules.document.players ? 'Hide from players' : 'Show to players' }}
        </button>
        <button v-if="coach && rules.document" class="plain link" type="button" @click="retire">Retire</button>
      </div>
    </header>
    <form v-if="copying" class="copy" @submit.prevent="copy">
      <label>Name <input v-model="copying.name" required maxlength="60" /></label>
      <label
        >Short name <input v-model="copying.id" required pattern="[a-z0-9\-]+" title="small letters, digits and dashes"
      /></label>
      <button class="plain link" type="submit">Make the copy</button>{{ ' ' }}
      <button class="plain link" type="button" @click="copying = null">Leave it</button>
    </form>
    <form v-if="renaming !== null" class="copy" @submit.prevent="rename">
      <label>Name <input v-model="renaming" required maxlength="60" /></label>
      <button class="plain link" type="submit">Call it that</button>{{ ' ' }}
      <button class="plain link" type="button" @click="renaming = null">Leave it</button>{{ ' ' }}
      <span class="soft">counts once it is saved</span>
    </form>
    <p v-if="rules.problem" class="problem" role="alert">{{ rules.problem }}</p>
    <p v-else-if="rules.notice" class="notice" role="status">{{ rules.notice }}</p>
    <div class="work">
      <section class="edit" aria-label="Rules">
        <div class="tabs">
          <div role="tablist" aria-label="How the rules are shown">
            <button class="plain" type="button" role="tab" :aria-selected="view === 'text'" @click="view = 'text'">
              Text
            </button>
            <button
              class="plain"
              type="button"
              role="tab"
              :aria-selected="view === 'sentences'"
              :disabled="errors.length > 0"
              @click="view = 'sentences'"
            >
              Sentences
            </button>
          </div>
          <span class="state" role="status" :class="{ bad: errors.length }">{{
            errors.length
              ? `${errors.length} to put right`
              : warnings.length
                ? `${warnings.length} to look at`
                : 'reads well'
          }}</span>
        </div>
        <div class="pane">
          <RuleText v-if="view === 'text'" ref="editor" v-model:text="rules.text" :read-only="false" />
          <RuleBuilder v-else-if="rules.tree" :tree="rules.tree" @put="rules.put" />
        </div>
        <ul v-if="rules.diagnostics.length" class="found" aria-label="What was found">
          <li v-for="(d, i) in rules.diagnostics.slice(0, 6)" :key="i" :class="d.severity">
            <button class="plain" type="button" @click="goTo(d.span.line)">
              line {{ d.span.line }}: {{ wordDiagnostic(d) }}
            </button>
          </li>
        </ul>
      </section>
      <aside>
        <label class="side"
          >Called to the
          <select :value="rules.side" @change="rules.side = ($event.target as HTMLSelectElement).value as Side">
            <option>right</option>
            <option>left</option>
          </select>
          from {{ playbook.book.name('formations', rules.formationId) }}</label
        >
        <TagToggles v-if="rules.tags.length" :tags="rules.tags" @toggle="rules.switchTag($event)" />
        <p v-if="rules.stripProblem" class="problem" role="alert">{{ rules.stripProblem }}</p>
        <FrontStrip :working="rules.working" :looks="rules.looks" :address="rules.address" />
        <p v-for="c in cautions" :key="c.id" class="care">
          <b>Care: {{ c.who.join(', ') }}.</b> {{ c.says }}
        </p>
        <ProofPanel @go-to="goTo" />
        <VersionPanel
          v-if="rules.versions.length"
          :versions="rules.versions"
          :text="rules.text"
          @restore="rules.text = $event"
        />
        <button v-else-if="rules.document" class="plain link" type="button" @click="rules.loadVersions">
          Show every version
        </button>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.sheet {
  display: flex;
  flex-direction: column;
  height: 100%;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  padding: 12px 20px 10px;
  border-bottom: 1px solid var(--rule);
}
.back {
  font-size: 13px;
}
.acts {
  margin-left: auto;
  display: flex;
  gap: 14px;
}
.acts button:disabled {
  opacity: 0.45;
  cursor: default;
  text-decoration: none;
}
.copy {
  display: flex;
  gap: 12px;
  align-items: baseline;
  padding: 8px 20px;
  background: var(--wash);
}
.copy input {
  font: inherit;
  padding: 2px 6px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
}
.problem {
  padding: 7px 20px;
  color: var(--broken);
  font-weight: 600;
}
.notice {
  padding: 7px 20px;
  color: var(--sound);
  font-weight: 600;
}
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
}
.edit {
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-right: 1px solid var(--rule);
}
.tabs,
.tabs [role='tablist'] {
  display: flex;
  gap: 18px;
}
.tabs {
  padding: 7px 20px 0;
  border-bottom: 1px solid var(--rule);
}
.tabs [role='tab'] {
  padding-bottom: 5px;
  border-bottom: 2px solid transparent;
  color: var(--soft);
}
.tabs [aria-selected='true'] {
  color: var(--ink);
  font-weight: 650;
  border-bottom-color: var(--violet);
}
.state {
  margin-left: auto;
  font-size: 13px;
  color: var(--sound);
}
.state.bad {
  color: var(--broken);
  font-weight: 600;
}
.pane {
  flex: 1;
  min-height: 0;
}
.found {
  padding: 6px 20px 8px;
  border-top: 1px solid var(--rule);
  font-size: 12.5px;
  max-height: 128px;
  overflow: auto;
}
.found .error {
  color: var(--broken);
}
.found .warning {
  color: var(--risk);
}
.care {
  border-left: 3px solid var(--risk);
  padding-left: 8px;
  font-size: 13px;
}
aside {
  overflow: auto;
  padding: 10px 18px 30px;
  display: grid;
  gap: 18px;
  align-content: start;
}
.side select {
  font: inherit;
  font-weight: 650;
  color: var(--violet);
  background: var(--ground);
  border: 0;
}
@media (max-width: 900px) {
  .work {
    grid-template-columns: 1fr;
  }
  .pane {
    height: 60vh;
  }
  .sheet {
    height: auto;
  }
}
</style>
