import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { identify } from '#core/identify/identify';
import { mirrorText, sayFront } from '#core/language/lineups/print-lineup';
import { applyStep, invertStep, mannerStep, moveStep, type FrontStep } from '#core/model/front-steps';
import type { Formation } from '#core/model/formation';
import type { Defender, Front, Mark } from '#core/model/front';
import { usePlaybook, type OwnDocument } from '~/features/playbook/store';
import { textWithHeader, useKeeping } from '~/features/playbook/keep';

/** One front being drawn or typed: board and notation are two views of it. */
export const useFronts = defineStore('fronts', () => {
  const playbook = usePlaybook();
  const id = ref('over');
  const name = ref('');
  const formationId = ref('five-man');
  const text = ref('');
  const saved = ref('');
  const front = shallowRef<Front | null>(null);
  const diagnostics = shallowRef<readonly Diagnostic[]>([]);
  const selected = ref<string | null>(null);
  const done = shallowRef<readonly FrontStep[]>([]);
  const keeping = useKeeping('fronts');
  const { problem, notice, attempt } = keeping;

  const formation = computed<Formation | null>(() => {
    const read = playbook.book.formation(formationId.value);
    return read.ok ? read.value : null;
  });
  const identification = computed(() =>
    front.value && formation.value ? identify(formation.value, front.value, { settings: playbook.settings }) : null,
  );
  const document = computed<OwnDocument | null>(() => playbook.own('fronts', id.value));
  const dirty = computed(() => text.value !== saved.value);

  /** Reads the notation; what cannot be read leaves the board as it was. */
  function type(next: string): void {
    text.value = next;
    if (!formation.value) return;
    const read = playbook.book.front(next, formation.value, playbook.settings);
    diagnostics.value = read.diagnostics;
    if (!read.ok || hasErrors(read.diagnostics)) return;
    front.value = read.value;
    done.value = [];
    if (!read.value.defenders.some((d) => d.id === selected.value)) selected.value = null;
  }

  function open(next: string): void {
    problem.value = '';
    notice.value = '';
    show(next);
  }

  function show(next: string): void {
    id.value = next;
    name.value = playbook.book.name('fronts', next);
    type(playbook.book.clauses('fronts', next).split('; ').join('\n'));
    saved.value = text.value;
  }

  function place(next: string): void {
    formationId.value = next;
    type(text.value);
  }

  function step(change: FrontStep | null): void {
    if (!change || !front.value || !formation.value) return;
    front.value = applyStep(front.value, change);
    done.value = [...done.value, change];
    text.value = sayFront(front.value, formation.value, '\n');
  }

  const move = (man: string, to: { x: number; y: number }): void => {
    if (front.value) step(moveStep(front.value, man, to));
  };
  function nudge(man: string, dx: number, dy: number): void {
    const d = front.value?.defenders.find((x) => x.id === man);
    if (d) move(man, { x: d.x + dx, y: d.y + dy });
  }
  const manner = (change: Partial<Pick<Defender, 'stance' | 'position' | 'mark'>>): void => {
    if (front.value && selected.value) step(mannerStep(front.value, selected.value, change));
  };
  const man = computed(() => front.value?.defenders.find((d) => d.id === selected.value) ?? null);
  const toggleStance = (): void => {
    if (man.value) manner({ stance: man.value.stance === 'up' ? 'down' : 'up' });
  };
  const mark = (m: Mark): void => {
    if (man.value) manner({ mark: man.value.mark === m ? null : m });
  };

  function undo(): void {
    const last = done.value.at(-1);
    if (!last || !front.value || !formation.value) return;
    front.value = applyStep(front.value, invertStep(last));
    done.value = done.value.slice(0, -1);
    text.value = sayFront(front.value, formation.value, '\n');
  }

  const mirror = (): void => type(mirrorText(text.value));
  const documentText = (newId: string, newName: string): string => textWithHeader('fronts', newId, newName, text.value);

  /** Saves under this name; another short name makes a new front. */
  async function save(newId: string, newName: string, opponent: string | null): Promise<boolean> {
    const done = await keeping.save(newId, newName, text.value, opponent);
    if (done) show(newId);
    return done;
  }
  async function retire(): Promise<void> {
    if (await keeping.retire(id.value)) show('over');
  }

  return {
    id,
    name,
    formationId,
    text,
    saved,
    front,
    diagnostics,
    selected,
    done,
    problem,
    notice,
    formation,
    identification,
    document,
    dirty,
    man,
    type,
    open,
    place,
    move,
    nudge,
    toggleStance,
    mark,
    undo,
    mirror,
    save,
    retire,
    documentText,
    attempt,
  };
});
