import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { sayFront } from '#core/language/lineups/print-lineup';
import { readFormation } from '#core/language/lineups/read-formation';
import { readFront } from '#core/language/lineups/read-front';
import { formationFrom, frontFrom, libraryText } from '#core/library/library';
import { shippedScheme } from '#core/library/resolve-call';
import { applyStep, invertStep, moveStep, type FrontStep } from '#core/model/front-steps';
import type { Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';
import type { Resolution } from '#core/model/resolution';
import type { Side } from '#core/model/side';
import { resolve } from '#core/resolve/resolve';

/** What is on the board: ids of what ships, or a front of the coach's own in notation. */
export interface BoardCall { scheme: string; side: Side; formation: string; front: string; tags: string[]; without: string[] }

export const START: BoardCall = { scheme: 'inside-zone-z1', side: 'right', formation: 'five-man', front: 'over', tags: [], without: [] };
const TOP = { line: 1, column: 1, endColumn: 1 };

/** One play against one front, worked out again after every change. */
export const useWalkthrough = defineStore('walkthrough', () => {
  const call = ref<BoardCall>({ ...START });
  const front = shallowRef<Front | null>(null);
  const formation = shallowRef<Formation | null>(null);
  const done = shallowRef<readonly FrontStep[]>([]);
  const undone = shallowRef<readonly FrontStep[]>([]);
  const problems = shallowRef<readonly Diagnostic[]>([]);
  const selected = ref<string | null>(null);

  /** Lays out formation and front; what cannot be read leaves the board as it was. */
  function setUp(next: BoardCall): void {
    const formationText = libraryText('formations', next.formation);
    const men = formationText === null ? readFormation(next.formation) : formationFrom(formationText);
    const scheme = shippedScheme(next.scheme);
    const frontText = libraryText('fronts', next.front);
    const theirs = men.ok ? (frontText === null ? readFront(next.front, men.value, 'own', 'Own front') : frontFrom(frontText, men.value)) : men;
    const found = [...men.diagnostics, ...(men.ok ? theirs.diagnostics : []), ...scheme.diagnostics];
    problems.value = found;
    if (hasErrors(found) || !men.ok || !theirs.ok || !scheme.ok) return;
    const known = scheme.value.tags.map((t) => t.name);
    call.value = { ...next, tags: next.tags.filter((t) => known.includes(t)), without: next.without.filter((t) => known.includes(t)) };
    formation.value = men.value;
    front.value = theirs.value as Front;
    done.value = [];
    undone.value = [];
    if (!men.value.men.some((m) => m.id === selected.value)) selected.value = null;
  }

  const resolution = computed<Resolution | null>(() => {
    const scheme = shippedScheme(call.value.scheme);
    if (!scheme.ok || !formation.value || !front.value) return null;
    return resolve(scheme.value, formation.value, front.value, { side: call.value.side, tags: call.value.tags, without: call.value.without });
  });

  const tags = computed(() => {
    const scheme = shippedScheme(call.value.scheme);
    return scheme.ok ? scheme.value.tags.map((t) => ({ ...t, active: resolution.value?.tags.includes(t.name) ?? false })) : [];
  });

  /** The board's front as a text: an id while untouched, notation once somebody was moved. */
  const frontText = computed(() => (done.value.length && front.value && formation.value ? sayFront(front.value, formation.value) : call.value.front));

  function move(id: string, to: { x: number; y: number }): void {
    if (!front.value) return;
    const step = moveStep(front.value, id, to);
    if (!step) return;
    front.value = applyStep(front.value, step);
    done.value = [...done.value, step];
    undone.value = [];
  }

  function nudge(id: string, dx: number, dy: number): void {
    const man = front.value?.defenders.find((d) => d.id === id);
    if (man) move(id, { x: man.x + dx, y: man.y + dy });
  }

  function undo(): void {
    const step = done.value.at(-1);
    if (!step || !front.value) return;
    front.value = applyStep(front.value, invertStep(step));
    done.value = done.value.slice(0, -1);
    undone.value = [...undone.value, step];
  }

  function redo(): void {
    const step = undone.value.at(-1);
    if (!step || !front.value) return;
    front.value = applyStep(front.value, step);
    undone.value = undone.value.slice(0, -1);
    done.value = [...done.value, step];
  }

  function toggleTag(name: string): void {
    const tag = tags.value.find((t) => t.name === name);
    if (!tag) return;
    const without = call.value.without.filter((t) => t !== name);
    const on = call.value.tags.filter((t) => t !== name);
    call.value = tag.active ? { ...call.value, tags: on, without: tag.on ? [...without, name] : without } : { ...call.value, tags: tag.on ? on : [...on, name], without };
  }

  /** Called by the address bar with something no call can be made of. */
  const refuse = (found: string): void => {
    problems.value = [...problems.value, { code: 'text.expected', severity: 'error', span: TOP, params: { expected: 'left or right as the side', found: `"${found}"` } }];
  };

  return { call, formation, front, resolution, tags, selected, problems, done, undone, frontText, setUp, move, nudge, undo, redo, toggleTag, refuse };
});
