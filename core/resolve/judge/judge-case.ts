import type { Aim } from '../prepare/prepare-call';
import type { ProblemCode, Verdict } from '../../model/resolution';
import type { Settings } from '../../model/settings';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { CompiledScheme } from '../prepare/compile';
import { onlyTouches, type ManOutcome, type Outcome } from '../allot/outcome';

/** A fault found: who is involved, in scene indices, and its sentence when somebody asks for it. */
export interface Fault {
  readonly code: ProblemCode;
  readonly men: readonly number[];
  readonly defenders: readonly number[];
  readonly say: () => string;
  /** Lines of the sentences involved, when they are not simply those of `men`. */
  readonly lines?: () => number[];
}

export interface Judgement {
  readonly verdict: Verdict;
  readonly faults: readonly Fault[];
  /** Seen and judged no fault. */
  readonly notes: readonly (() => string)[];
}

/** One judgement under way. */
export class Case {
  readonly scene: Scene;
  readonly faults: Fault[] = [];
  readonly notes: (() => string)[] = [];
  constructor(
    readonly scheme: CompiledScheme,
    readonly outcome: Outcome,
    readonly aim: Aim,
    readonly settings: Settings,
  ) {
    this.scene = outcome.settled.scene;
  }

  find(
    code: ProblemCode,
    men: readonly number[],
    defenders: readonly number[],
    say: () => string,
    lines?: () => number[],
  ): void {
    this.faults.push({ code, men, defenders, say, lines });
  }

  man(index: number): string {
    return this.scene.men[index]!.id;
  }

  foe(index: number): string {
    return this.scene.defenders[index]!.id;
  }
}

export function sharedUnasked(judged: Case): void {
  const { men, defenders } = judged.outcome;
  // Somebody without a partner is on every man who is shared unasked; most often there is none such.
  const isAsked = ({ target, partners }: ManOutcome): boolean =>
    target === NOBODY || partners.length > 0 || defenders[target]!.by.length < 2;
  if (men.every(isAsked)) return;
  for (let d = 0; d < defenders.length; d++) if (defenders[d]!.by.length >= 2) judgeShared(judged, d);
}

function judgeShared(judged: Case, d: number): void {
  const on = judged.outcome.men.filter((m) => m.target === d && !onlyTouches(m));
  if (on.length < 2 || on.every((m) => m.partners.length > 0)) return;
  judged.find(
    'two-on-one',
    on.map((m) => m.man),
    [d],
    () => `${on.map((m) => judged.man(m.man)).join(' and ')} both block ${judged.foe(d)}, and neither asked for help.`,
  );
}

export function lostPartners(judged: Case): void {
  const { fallbacks, refusals, sheets } = judged.outcome.settled;
  for (const man of fallbacks) {
    const lost = refusals[man]!;
    if (lost.size === 0) continue;
    const mates = [...new Set(lost.values())];
    judged.find(
      'partner-cannot-come',
      [man, ...mates],
      [],
      () =>
        `${judged.man(man)} needs ${mates.map((m) => judged.man(m)).join(', ')}, who is called away, and has no other sentence that stands.`,
      () => [...lost.keys()].map((s) => sheets[man]![s]!.line),
    );
  }
}

export function cycles(judged: Case): void {
  const { cycle, sheets, scene } = judged.outcome.settled;
  if (cycle.length === 0) return;
  const lines = (): number[] =>
    cycle.flatMap((man) => {
      const s = scene.proposals[man]!.sentence;
      return s < 0 ? [] : [sheets[man]![s]!.line];
    });
  judged.find(
    'cycle',
    cycle,
    [],
    () =>
      `The rules of ${cycle.map((m) => judged.man(m)).join(' and ')} chase each other (lines ${lines().join(', ')}) and never settle.`,
    lines,
  );
}

/** A tight end, wing, H or fullback of whom no sentence speaks: said, never silently left out. The runner needs no job. */
export function withoutJob({ outcome, scene, notes }: Case): void {
  const { jobless, undone, idleTags } = outcome.settled.call;
  for (const trade of undone) notes.push(() => `No ${trade} stands on that side: his job stays undone.`);
  for (const tag of idleTags) notes.push(() => `Nobody is there for “${sayTag(outcome, tag)}”.`);
  for (const man of jobless) notes.push(() => `${scene.men[man]!.id} has no job in this scheme.`);
}

/** A tag as the scheme explains it. */
const sayTag = ({ settled }: Outcome, tag: string): string =>
  settled.call.scheme.tags.find((t) => t.name === tag)?.says ?? tag;

/** The picture is the other play's: said beside the verdict, not against it. */
export function changesOfPlay({ outcome, scene, notes }: Case): void {
  for (const { to, when } of outcome.settled.call.changes) {
    if (when(scene, scene.posts.C)) notes.push(() => `Change with me: this is the picture for ${to}.`);
  }
}
