import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { sayFormation } from '#core/language/lineups/print-formation';
import { mirrorText } from '#core/language/lineups/print-lineup';
import { readFormation } from '#core/language/lineups/read-formation';
import type { Formation } from '#core/model/formation';
import { moveBlocker } from '#core/model/formation-moves';
import { textWithHeader, useKeeping } from '~/features/playbook/keep';
import { usePlaybook } from '~/features/playbook/store';

/** The formation a new one begins with. */
export const FIRST = 'five-man';

/** One formation being drawn or typed: board and notation are two views of it. */
export const useFormations = defineStore('formations', () => {
  const playbook = usePlaybook();
  const keeping = useKeeping('formations');
  const { problem, notice, attempt } = keeping;
  const id = ref(FIRST);
  const name = ref('');
  const text = ref('');
  const saved = ref('');
  const formation = shallowRef<Formation | null>(null);
  const diagnostics = shallowRef<readonly Diagnostic[]>([]);
  const selected = ref<string | null>(null);
  /** What was typed before each move on the board, the last one last. */
  const before = shallowRef<readonly string[]>([]);

  const dirty = computed(() => text.value !== saved.value);
  const man = computed(() => formation.value?.men.find((m) => m.id === selected.value) ?? null);

  /** Reads the notation; what cannot be read leaves the board as it was. */
  function read(next: string): void {
    text.value = next;
    const found = readFormation(next, id.value, name.value || 'Formation');
    diagnostics.value = found.diagnostics;
    if (!found.ok || hasErrors(found.diagnostics)) return;
    formation.value = found.value;
    if (!found.value.men.some((m) => m.id === selected.value)) selected.value = null;
  }

  function type(next: string): void {
    before.value = [];
    read(next);
  }

  function show(next: string): void {
    id.value = next;
    name.value = playbook.book.name('formations', next);
    const kept = playbook.book.formation(next);
    if (kept.ok) formation.value = kept.value;
    type(playbook.book.clauses('formations', next).split('; ').join('\n'));
    saved.value = text.value;
  }

  function open(next: string): void {
    problem.value = '';
    notice.value = '';
    show(next);
  }

  /** A man to a place; a text that is not right yet is not drawn over. */
  function move(who: string, to: { x: number; y: number }): void {
    const next = formation.value && !hasErrors(diagnostics.value) ? moveBlocker(formation.value, who, to) : null;
    if (!next) return;
    before.value = [...before.value, text.value];
    read(sayFormation(next, '\n'));
  }
  function nudge(who: string, dx: number, dy: number): void {
    const m = formation.value?.men.find((x) => x.id === who);
    if (m) move(who, { x: m.x + dx, y: m.y + dy });
  }

  function undo(): void {
    const last = before.value.at(-1);
    if (last === undefined) return;
    before.value = before.value.slice(0, -1);
    read(last);
  }

  const mirror = (): void => type(mirrorText(text.value));
  const documentText = (newId: string, newName: string): string =>
    textWithHeader('formations', newId, newName, text.value);

  async function save(newId: string, newName: string): Promise<boolean> {
    const done = await keeping.save(newId, newName, text.value);
    if (done) show(newId);
    return done;
  }
  async function retire(): Promise<void> {
    if (await keeping.retire(id.value)) show(FIRST);
  }

  return {
    id,
    name,
    text,
    saved,
    formation,
    diagnostics,
    selected,
    before,
    problem,
    notice,
    dirty,
    man,
    type,
    open,
    move,
    nudge,
    undo,
    mirror,
    documentText,
    attempt,
    save,
    retire,
  };
});
