import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { checkScheme } from '#core/language/check';
import { printTree } from '#core/language/print';
import { readTree } from '#core/language/read';
import type { SchemeTree } from '#core/language/tree';
import { schemeFrom } from '#core/library/library';
import type { Verdict } from '#core/model/resolution';
import type { Side } from '#core/model/side';
import { compileScheme, type CompiledScheme } from '#core/resolve/prepare/compile';
import { tagsInForce, toggleTag } from '#core/resolve/prepare/tags';
import { sayLists } from '~/features/board/address';
import { usePlaybook, type OwnDocument, type Version } from '~/features/playbook/store';
import { useAnswers } from '~/workers/start';
import { attempting } from '~/features/session/attempt';

export interface Look {
  id: string;
  name: string;
  verdict: Verdict;
  before: Verdict | null;
  sentence: string;
}

/** One scheme being written: its text, what is wrong with it, and what it does to every front as it is typed. */
export const useRules = defineStore('rules', () => {
  const playbook = usePlaybook();
  const id = ref<string | null>(null);
  const text = ref('');
  /** The text the editor was opened with, or last saved: what "before" means. */
  const saved = ref('');
  const base = ref(0);
  const side = ref<Side>('right');
  const tagChoice = shallowRef<{ tags: string[]; without: string[] }>({ tags: [], without: [] });
  const problem = ref('');
  const notice = ref('');
  const versions = shallowRef<readonly Version[]>([]);

  const document = computed<OwnDocument | null>(() => (id.value === null ? null : playbook.own('schemes', id.value)));
  const shipped = computed(() => id.value !== null && document.value === null);
  const dirty = computed(() => text.value !== saved.value);

  // The text is read once a keystroke; everything else follows from that one tree.
  const read = computed(() => readTree(text.value));
  const tree = computed<SchemeTree | null>(() => (read.value.tree?.kind === 'scheme' ? read.value.tree : null));
  const diagnostics = computed<readonly Diagnostic[]>(() => [
    ...read.value.diagnostics,
    ...(tree.value ? checkScheme(tree.value) : []),
  ]);
  const compiled = computed<CompiledScheme | null>(() =>
    tree.value && !hasErrors(diagnostics.value) ? compileScheme(tree.value) : null,
  );
  const before = computed<CompiledScheme | null>(() => valueOf(saved.value));

  /** What the text says, or said before it could not be read. */
  const readable = computed(() => compiled.value ?? before.value);

  const formationId = computed(() => tree.value?.head.find((h) => h.key === 'from')?.value ?? 'five-man');
  /** The play's tags, and whether each is called. */
  const tags = computed(() => {
    const scheme = readable.value;
    if (!scheme) return [];
    const inForce = tagsInForce(scheme, tagChoice.value);
    return scheme.tags.map(({ name, says }) => ({ name, says, active: inForce.has(name) }));
  });
  function switchTag(name: string): void {
    if (readable.value) tagChoice.value = toggleTag(readable.value, tagChoice.value, name);
  }
  /** Where the Walkthrough shows the play as it is called here. */
  const address = computed<Record<string, string>>(() => ({
    play: id.value ?? '',
    side: side.value,
    formation: formationId.value,
    ...sayLists(tagChoice.value),
  }));
  /** What the text says against every front, and what the one it was opened with said; worked out beside the screen. */
  const strip = useAnswers();
  /** The text that can be read: as it is, or as it was before it could not be read. */
  const written = computed(() => (compiled.value ? text.value : saved.value));
  watch(
    [written, saved, formationId, side, tagChoice, () => playbook.settings, () => playbook.ownTexts],
    () => {
      if (id.value === null) return;
      const called = { formation: formationId.value, side: side.value, ...tagChoice.value };
      strip.ask({
        own: playbook.ownTexts,
        settings: playbook.settings,
        calls: [written.value, saved.value].map((rules) => ({ scheme: { text: rules }, ...called })),
        fronts: playbook.fronts.map((f) => f.id),
        move: null,
      });
    },
    { flush: 'post' },
  );
  /** Every front with its verdict now and before the change; while it is being worked out, what it was last. */
  const looks = computed<Look[]>(() => {
    const of = (call: number) => new Map(strip.whole.value.filter((a) => a.call === call).map((a) => [a.front, a]));
    const [now, was] = [of(0), of(1)];
    return playbook.fronts.flatMap((f) => {
      const found = now.get(f.id) ?? was.get(f.id);
      if (!found) return [];
      const { verdict, sentence } = found;
      return [{ id: f.id, name: f.name, verdict, sentence, before: was.get(f.id)?.verdict ?? null }];
    });
  });

  function open(next: string): void {
    const own = playbook.own('schemes', next);
    const found = own?.draft?.text ?? own?.text ?? playbook.book.text('schemes', next);
    if (id.value !== next) strip.forget();
    id.value = next;
    tagChoice.value = { tags: [], without: [] };
    text.value = found ?? '';
    saved.value = own?.text ?? found ?? '';
    base.value = own?.version ?? 0;
    versions.value = [];
    notice.value = own?.draft
      ? `This is ${own.draft.by}’s draft, version ${own.draft.number}; the released text still counts until it is saved.`
      : '';
    problem.value = found === null ? `There is no play "${next}" in this playbook.` : '';
  }

  const attempt = attempting(problem, 'Your text is still here.');

  /** Saves over the version this text was written from; a shipped play becomes the program's own by it. */
  const save = (draft: boolean): Promise<boolean> =>
    attempt(async () => {
      if (document.value) {
        const done = await playbook.save(document.value, text.value, base.value, draft);
        base.value = done.version;
        notice.value = done.draft
          ? `Kept as draft, version ${done.version}. The released text counts until the coach saves this one.`
          : `Saved as version ${done.version}.`;
        if (!done.draft) saved.value = text.value;
      } else {
        await playbook.add([{ shelf: 'schemes', text: text.value }]);
        base.value = 1;
        saved.value = text.value;
        notice.value = 'Saved: this play is your own now. The shipped one comes back when you retire it.';
      }
    });

  /** The same rules under another name; opens nothing by itself. */
  async function copy(newId: string, newName: string): Promise<boolean> {
    const t = tree.value;
    if (!t) return false;
    return attempt(() => playbook.add([{ shelf: 'schemes', text: printTree({ ...t, id: newId, name: newName }) }]));
  }

  const loadVersions = (): Promise<boolean> =>
    attempt(async () => {
      versions.value = document.value ? await playbook.versions(document.value) : [];
    });
  const format = (): void => {
    if (tree.value && !hasErrors(diagnostics.value)) text.value = printTree(tree.value);
  };
  /** Puts an edited tree in place of the text. */
  const put = (next: SchemeTree): void => {
    text.value = printTree(next);
  };

  return {
    id,
    text,
    saved,
    side,
    tagChoice,
    tags,
    switchTag,
    address,
    problem,
    notice,
    versions,
    document,
    shipped,
    dirty,
    diagnostics,
    tree,
    compiled,
    formationId,
    looks,
    working: strip.running,
    stripProblem: strip.problem,
    open,
    save,
    copy,
    loadVersions,
    format,
    put,
    attempt,
  };
});

function valueOf(text: string): CompiledScheme | null {
  const read = text ? schemeFrom(text) : null;
  return read?.ok ? read.value : null;
}
