import { gistOf } from '../compare/gist';
import { wordDiagnostic } from '../diagnostics/wording';
import type { Resolution } from '../model/resolution';
import type { SnapBody } from '../model/snap-body';
import { resolveCall, type Ways } from './resolve-call';

/** How a call that was worked out once would be worked out today. */
export interface ChangedAnswer {
  /** Blockers who would be asked something else. */
  readonly men: readonly string[];
  /** Why it cannot be worked out any more; `null` when it can. */
  readonly why: string | null;
}

/** Is a man asked something else in two answers? */
export function differs(one: Resolution, other: Resolution, blocker: string): boolean {
  const of = ({ assignments }: Resolution) => assignments.find((a) => a.blocker === blocker);
  return gistOf(of(one)) !== gistOf(of(other));
}

/** What has changed since a snap was logged, by new rules, limits or a new build; `null` when nothing has. What is kept stays as it is. */
export function changedAnswer(
  { call, resolution }: Pick<SnapBody, 'call' | 'resolution'>,
  ways?: Ways,
): ChangedAnswer | null {
  const today = resolveCall(call, ways);
  if (!today.ok) return { men: [], why: today.diagnostics.map(wordDiagnostic).join('; ') };
  const everybody = new Set([...resolution.assignments, ...today.value.assignments].map((a) => a.blocker));
  const men = [...everybody].filter((blocker) => differs(resolution, today.value, blocker));
  return men.length === 0 ? null : { men, why: null };
}
