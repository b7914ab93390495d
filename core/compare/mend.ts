import { inSentence } from '../vocabulary/in-sentence';
import { readFormation } from '../language/lineups/read-formation';
import { lineOf, type Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Problem, Verdict } from '../model/resolution';
import { otherSide, type Side } from '../model/side';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { workPlay } from '../movement/play';
import { prepareCall, type Call } from '../resolve/prepare/prepare-call';
import { tagsInForce, toggleTag } from '../resolve/prepare/tags';

/** One thing that could be changed about a call; exactly one of the fields is set. */
export type Change =
  | { readonly kind: 'tag'; readonly tag: string; readonly on: boolean }
  | { readonly kind: 'school'; readonly scheme: string; readonly name: string }
  | { readonly kind: 'side'; readonly side: Side }
  | { readonly kind: 'split'; readonly man: string; readonly inches: number }
  /** The same men lined up otherwise, in inline notation. */
  | { readonly kind: 'lineup'; readonly text: string; readonly says: string };

export interface Mending {
  readonly change: Change;
  readonly verdict: Verdict;
  /** Problems that would be left. */
  readonly left: number;
  /** Problems that would be gone, by code. */
  readonly gone: readonly Problem['code'][];
}

export interface Occasion {
  readonly scheme: CompiledScheme;
  /** Formation in inline notation, so that a split can be said. */
  readonly formationText: string;
  readonly front: Front;
  readonly call: Call;
  /** Schemes that could be called instead: the schools of one family. */
  readonly schools: readonly CompiledScheme[];
}

const RANK: Record<Verdict, number> = { sound: 0, 'at risk': 1, broken: 2 };
/** Splits tried for one man, inches between shoulders. */
const SPLITS = [6, 12, 18, 30, 36] as const;

/** Tries each tag, school, the other side and one man's split, and returns what makes the call better, the best and plainest first. */
export function whatMends(occasion: Occasion): Mending[] {
  const formation = need(occasion.formationText);
  const { scheme, front, call } = occasion;
  const now = faultsOf(scheme, formation, front, call);
  if (now.verdict === 'sound') return [];
  const found: Mending[] = [];
  const attempt = (change: Change, s: CompiledScheme, f: Formation, c: Call): void => {
    const then = faultsOf(s, f, front, c);
    // Moving a man so that a linebacker is no longer counted mends nothing.
    if (change.kind === 'split' && then.box !== now.box) return;
    if (
      RANK[then.verdict] > RANK[now.verdict] ||
      (then.verdict === now.verdict && then.codes.length >= now.codes.length)
    )
      return;
    found.push({
      change,
      verdict: then.verdict,
      left: then.codes.length,
      gone: [...new Set(now.codes)].filter((code) => !then.codes.includes(code)),
    });
  };
  const inForce = tagsInForce(scheme, call);
  for (const { name } of scheme.tags)
    attempt({ kind: 'tag', tag: name, on: !inForce.has(name) }, scheme, formation, {
      ...call,
      ...toggleTag(scheme, call, name),
    });
  for (const other of occasion.schools) {
    if (other.tree.id !== scheme.tree.id)
      attempt({ kind: 'school', scheme: other.tree.id, name: other.tree.name }, other, formation, {
        ...call,
        tags: [],
        without: [],
      });
  }
  attempt({ kind: 'side', side: otherSide(call.side) }, scheme, formation, { ...call, side: otherSide(call.side) });
  for (const man of lineOf(formation).filter((m) => m.id !== 'C')) {
    for (const inches of SPLITS) {
      const split = readFormation(`${occasion.formationText}; split ${man.id} ${inches}in`);
      if (split.ok) attempt({ kind: 'split', man: man.id, inches }, scheme, split.value, call);
    }
  }
  return found.sort((a, b) => RANK[a.verdict] - RANK[b.verdict] || a.left - b.left);
}

function need(text: string): Formation {
  const read = readFormation(text);
  if (!read.ok) throw new Error(`a formation that could not be read was resolved: ${text}`);
  return read.value;
}

function faultsOf(
  scheme: CompiledScheme,
  formation: Formation,
  front: Front,
  call: Call,
): { verdict: Verdict; codes: Problem['code'][]; box: string } {
  const { outcome, judgement } = workPlay(prepareCall(scheme, formation, call), front);
  return {
    verdict: judgement.verdict,
    codes: judgement.faults.map((f) => f.code),
    box: outcome.settled.scene.facts.box().ids.join(),
  };
}

/** A change as a coach would say it. */
export function sayChange(change: Change): string {
  switch (change.kind) {
    case 'tag':
      return change.on ? `call ${change.tag}` : `call it without ${change.tag}`;
    case 'school':
      return `run ${inSentence(change.name)} instead`;
    case 'side':
      return `run it to the ${change.side}`;
    case 'split':
      return `${change.man} at a split of ${change.inches} in`;
    case 'lineup':
      return change.says;
  }
}
