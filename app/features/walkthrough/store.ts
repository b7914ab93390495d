import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { sayFront } from '#core/language/lineups/print-lineup';
import { afterMotion, answerFrom, canMotion } from '#core/compare/lineups';
import { compareResolutions } from '#core/compare/compare';
import { adviceOf, type AdviceJob, type AdviceKind } from '#core/calls/advice-job';
import type { Change } from '#core/compare/mend';
import { applyStep, invertStep, moveStep, type FrontStep } from '#core/model/front-steps';
import type { Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';
import type { Resolution } from '#core/model/resolution';
import type { Side } from '#core/model/side';
import type { Overrides } from '#core/model/overrides';
import { judgedOn, readNeed } from '#core/model/standard';
import { readMoves } from '#core/language/lineups/read-moves';
import { resolve } from '#core/movement/play';
import { arrivalsOf } from '#core/movement/run/arrivals';
import { runPlay, type Run } from '#core/movement/run/run';
import { toggleTag } from '#core/resolve/prepare/tags';
import { usePlaybook } from '~/features/playbook/store';
import { useAdvice } from '~/workers/start';

/** What is on the board: ids of what ships, or a front of the coach's own in notation. */
export interface BoardCall {
  scheme: string;
  side: Side;
  formation: string;
  front: string;
  tags: string[];
  without: string[];
  /** Movements after the snap, as they are written. */
  moves: string[];
  /** The down it is judged on, as it is said; empty for any. */
  on: string;
}

export const START: BoardCall = {
  scheme: 'inside-zone-z1',
  side: 'right',
  formation: 'five-man',
  front: 'over',
  tags: [],
  without: [],
  moves: [],
  on: '',
};
const TOP = { line: 1, column: 1, endColumn: 1 };

/** One play against one front, worked out again after every change. */
export const useWalkthrough = defineStore('walkthrough', () => {
  const playbook = usePlaybook();
  const call = ref<BoardCall>({ ...START });
  const front = shallowRef<Front | null>(null);
  const formation = shallowRef<Formation | null>(null);
  const done = shallowRef<readonly FrontStep[]>([]);
  const undone = shallowRef<readonly FrontStep[]>([]);
  const problems = shallowRef<readonly Diagnostic[]>([]);
  const selected = ref<string | null>(null);
  /** What the coach overruled on this front. */
  const overrides = shallowRef<Overrides>({});

  /** Lays out formation and front; what cannot be read leaves the board as it was. */
  function setUp(next: BoardCall): void {
    const { book } = playbook;
    const men = book.formation(next.formation);
    const scheme = book.scheme(next.scheme);
    const theirs = men.ok ? book.front(next.front, men.value, playbook.settings) : men;
    const moves = theirs.ok ? readMoves(next.moves, theirs.value as Front) : null;
    const found = [
      ...men.diagnostics,
      ...(men.ok ? theirs.diagnostics : []),
      ...scheme.diagnostics,
      ...(moves?.diagnostics ?? []),
    ];
    problems.value = found;
    if (hasErrors(found) || !men.ok || !theirs.ok || !scheme.ok || !moves?.ok) return;
    const known = scheme.value.tags.map((t) => t.name);
    call.value = {
      ...next,
      on: readNeed(next.on) ? next.on : '',
      tags: next.tags.filter((t) => known.includes(t)),
      without: next.without.filter((t) => known.includes(t)),
    };
    formation.value = men.value;
    front.value = theirs.value as Front;
    overrides.value = {};
    done.value = [];
    undone.value = [];
    if (!men.value.men.some((m) => m.id === selected.value)) selected.value = null;
  }

  const callOf = () => ({
    side: call.value.side,
    tags: call.value.tags,
    without: call.value.without,
    settings: judgedOn(playbook.settings, readNeed(call.value.on)),
    words: playbook.words,
    overrides: overrides.value,
  });

  /** The front with what it does after the snap: its own movements, and those chosen here. */
  const moving = computed<Front | null>(() => {
    if (!front.value) return null;
    const moves = readMoves(call.value.moves, front.value);
    return { ...front.value, movements: [...front.value.movements, ...(moves.ok ? moves.value : [])] };
  });

  const resolution = computed<Resolution | null>(() => {
    const scheme = playbook.book.scheme(call.value.scheme);
    if (!scheme.ok || !formation.value || !moving.value) return null;
    return resolve(scheme.value, formation.value, moving.value, callOf());
  });

  /** The play in time; worked out when somebody looks at it. */
  const run = computed<Run | null>(() =>
    resolution.value && formation.value && front.value
      ? runPlay(formation.value, front.value, resolution.value, {
          level: playbook.settings.levelOfPlay,
          movers: playbook.settings.movers,
          depths: playbook.settings,
        })
      : null,
  );

  /** When each man meets his, by the run in time. */
  const arrivals = computed(
    () =>
      new Map(
        run.value && resolution.value ? arrivalsOf(run.value, resolution.value.assignments).map((a) => [a.man, a]) : [],
      ),
  );

  /** What else there is to say about the call: movements, pressures, answers and mendings, worked out beside the screen. */
  const advice = useAdvice();
  const asked = computed<Omit<AdviceJob, 'about'> | null>(() => {
    if (!front.value || !formation.value || !resolution.value) return null;
    const { side, tags, without, settings, overrides: set } = callOf();
    return {
      own: playbook.ownTexts,
      settings,
      side,
      tags: [...tags],
      without: [...without],
      overrides: set,
      scheme: call.value.scheme,
      formation: call.value.formation,
      front: front.value,
      moves: [...call.value.moves],
    };
  });
  const isSound = computed(() => resolution.value?.verdict === 'sound');
  watch(
    [asked, isSound],
    () => {
      const more = isSound.value ? [] : (['too few', 'mendings'] as const);
      if (asked.value) advice.ask({ ...asked.value, about: ['movements', 'pressures', ...more] });
    },
    { flush: 'post' },
  );
  /** What the selected man carries in his pocket. */
  const cards = useAdvice();
  watch(
    [asked, selected],
    () => {
      if (asked.value && selected.value !== null) cards.ask({ ...asked.value, about: ['card'], man: selected.value });
    },
    { flush: 'post' },
  );
  const card = computed(() => {
    const found = adviceOf(cards.found.value, 'card');
    return found?.man === selected.value ? found : null;
  });
  /** What was said of the call before stands until the new answer comes, so that the page does not jump. */
  const advised = <K extends AdviceKind>(kind: K) =>
    adviceOf(advice.found.value, kind) ?? (advice.running.value ? adviceOf(advice.whole.value, kind) : null);
  /** The call against every movement this front can make, and whether something goes wrong that is right as they stand. */
  const underMovement = computed(() => advised('movements'));
  /** Which pressures beat a protection, with the plainest of each way; nothing for a run. */
  const beatenBy = computed(() => advised('pressures') ?? []);
  /** Whoever hurts first of those nobody has, and what can be done about him. */
  const oneTooMany = computed(() => advised('too few'));
  /** What would make this call better on this front: a tag, another school, the other side, one man's split. */
  const mendings = computed(() => advised('mendings') ?? []);
  /** The way that is drawn on the board. */
  const pressureShown = ref<string | null>(null);
  const pressure = computed(
    () => beatenBy.value.find((w) => `${w.id} ${w.gap}` === pressureShown.value)?.smallest ?? null,
  );

  function setMoves(moves: readonly string[]): void {
    call.value = { ...call.value, moves: [...moves] };
  }

  const tags = computed(() => {
    const scheme = playbook.book.scheme(call.value.scheme);
    return scheme.ok
      ? scheme.value.tags.map((t) => ({ ...t, active: resolution.value?.tags.includes(t.name) ?? false }))
      : [];
  });

  /** The board's front as a text: an id while untouched, notation once somebody was moved. */
  const frontText = computed(() =>
    done.value.length && front.value && formation.value ? sayFront(front.value, formation.value) : call.value.front,
  );

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

  function switchTag(name: string): void {
    const scheme = playbook.book.scheme(call.value.scheme);
    if (scheme.ok) call.value = { ...call.value, ...toggleTag(scheme.value, call.value, name) };
  }

  /** The same call by another school of its family, man by man. */
  const otherSchool = ref<string | null>(null);
  const comparison = computed(() => {
    const other = otherSchool.value === null ? null : playbook.book.scheme(otherSchool.value);
    if (!other?.ok || !resolution.value || !formation.value || !moving.value) return null;
    const answer = resolve(other.value, formation.value, moving.value, { ...callOf(), tags: [], without: [] });
    return { name: other.value.tree.name, answer, ...compareResolutions(resolution.value, answer) };
  });

  /** The same play from another formation, or with a man in motion ("motion H"): by numbers and by who is left. */
  const otherLineup = ref<string | null>(null);
  const lineups = computed(() => {
    const scheme = playbook.book.scheme(call.value.scheme);
    if (otherLineup.value === null || !scheme.ok || !formation.value || !moving.value) return null;
    const motion = /^motion (\S+)$/.exec(otherLineup.value);
    const other = motion
      ? { ok: true as const, value: afterMotion(formation.value, motion[1]!) }
      : playbook.book.formation(otherLineup.value);
    if (!other.ok) return null;
    const text = done.value.length ? null : playbook.book.front(call.value.front, other.value, playbook.settings);
    const theirs = text?.ok ? { ...text.value, movements: moving.value.movements } : moving.value;
    return [
      { name: formation.value.name, ...answerFrom(scheme.value, formation.value, moving.value, callOf()) },
      { name: other.value.name, ...answerFrom(scheme.value, other.value, theirs, callOf()) },
    ];
  });
  const motions = computed(() => (formation.value ? canMotion(formation.value) : []));

  function make(change: Change): void {
    const keep = { ...call.value, front: frontText.value };
    if (change.kind === 'tag') switchTag(change.tag);
    else if (change.kind === 'school') setUp({ ...keep, scheme: change.scheme, tags: [], without: [] });
    else if (change.kind === 'side') setUp({ ...keep, side: change.side });
    else if (change.kind === 'lineup') setUp({ ...keep, formation: change.text });
    else
      setUp({
        ...keep,
        formation: `${playbook.book.clauses('formations', call.value.formation)}; split ${change.man} ${change.inches}in`,
      });
  }

  /** Called by the address bar with something no call can be made of. */
  const refuse = (found: string): void => {
    problems.value = [
      ...problems.value,
      {
        code: 'text.expected',
        severity: 'error',
        span: TOP,
        params: { expected: 'left or right as the side', found: `"${found}"` },
      },
    ];
  };

  return {
    call,
    formation,
    front,
    moving,
    resolution,
    run,
    arrivals,
    underMovement,
    beatenBy,
    pressureShown,
    pressure,
    setMoves,
    tags,
    selected,
    problems,
    done,
    undone,
    frontText,
    overrides,
    mendings,
    oneTooMany,
    advising: advice.running,
    adviceProblem: advice.problem,
    card,
    otherSchool,
    comparison,
    otherLineup,
    lineups,
    motions,
    make,
    setUp,
    move,
    nudge,
    undo,
    redo,
    switchTag,
    refuse,
  };
});
