import { FAULTS, FAULT_PARTS, faultName, type FaultId } from '../../model/faults';
import type { Cause } from '../../model/finding';
import type { Grade } from '../../model/grade';
import type { Resolution } from '../../model/resolution';
import { assignmentKept, plusKept } from '../rubrics/rubric';

/** A block that failed, with all that says how much it mattered. */
interface Failed {
  readonly man: string;
  readonly grade: Grade;
  /** When in the play it goes wrong: the part of the block the first fault belongs to. */
  readonly order: number;
  /** How far from where the ball was to go, feet. */
  readonly away: number;
  readonly weight: number;
}

const MEANT = { harmless: 0.2, costly: 2, fatal: 4 } as const;
/** A block this far from the point of attack hardly counts, feet. */
const REACH = 12;
/** A man who ran into another, or helped the wrong one, was not the beginning where that other had failed already. */
const FOLLOWS: ReadonlySet<string> = new Set(['collision', 'helped-wrong', 'left-late']);

/**
 * How a snap failed, read off the marks: what went wrong in its order, and where it most likely began. `null` when nobody is marked with
 * anything. A coach accepts it or says otherwise.
 */
export function firstCause(
  { assignments, attack, passing }: Pick<Resolution, 'assignments' | 'attack' | 'passing'>,
  grades: readonly { blocker: string; grade: Grade }[],
): Cause | null {
  const failed = grades
    .filter(({ grade }) => grade.counts && (assignmentKept(grade) === false || plusKept(grade.technique) === false))
    .map(({ blocker, grade }): Failed => {
      const start = assignments.find((a) => a.blocker === blocker)?.path.at(-1);
      const away = start ? Math.abs(start.x - (passing ? passing.spot.x : attack.x)) : REACH;
      return { man: blocker, grade, order: orderOf(grade), away, weight: weightOf(grade, away) };
    });
  if (failed.length === 0) return null;
  const chain = [...failed].sort((a, b) => a.order - b.order || a.away - b.away);
  const root = [...failed].sort((a, b) => b.weight - a.weight || a.order - b.order)[0]!;
  const isPlain =
    failed.length === 1 || root.weight > 1.2 * Math.max(...failed.filter((f) => f !== root).map((f) => f.weight));
  return {
    chain: chain.map(({ man, grade }) => ({ man, says: sayFailed(grade) })),
    root: isPlain ? root.man : null,
    verdict: null,
    note: '',
  };
}

const partOf = (fault: string): string => (fault in FAULTS ? FAULTS[fault as FaultId].part : 'finish');
function orderOf({ faults, assignment }: Grade): number {
  if (assignment === 'wrong') return 0;
  const parts = faults.map((f) => FAULT_PARTS.indexOf(partOf(f) as (typeof FAULT_PARTS)[number]));
  return parts.length ? Math.min(...parts) : FAULT_PARTS.length;
}

function weightOf({ consequence, outcome, facts, faults, assignment }: Grade, away: number): number {
  const meant = consequence ? MEANT[consequence] : 1;
  const near = 1 - Math.min(away, REACH) / (1.5 * REACH);
  const happened = facts.some((f) => f === 'sack' || f === 'loss')
    ? 2
    : facts.some((f) => f === 'hit' || f === 'made-the-play')
      ? 1
      : 0;
  const free = assignment === 'wrong' ? 0.5 : 0;
  const lost = outcome === 'not' ? 0.5 : 0;
  const follows = faults.some((f) => FOLLOWS.has(f)) ? 0.5 : 1;
  return (meant + happened + free + lost) * near * follows;
}

function sayFailed({ assignment, faults, facts, consequence }: Grade): string {
  const said = [
    ...(assignment === 'wrong' && !faults.includes('wrong-man') ? ['wrong man'] : []),
    ...faults.map((f) => faultName(f)),
    ...(facts.includes('sack') ? ['sack'] : []),
    ...(consequence ? [consequence] : []),
  ];
  return said.join(', ') || 'technique minus';
}

/** The chain in a sentence: "It began with RT, no movement; then H, missed." */
export function sayCause({ chain, root, note }: Cause): string {
  const began = chain.find((c) => c.man === root);
  const others = chain.filter((c) => c !== began).map((c) => `${c.man}, ${c.says}`);
  const first = began ? `It began with ${began.man}, ${began.says}` : 'It cannot be said where it began';
  const rest = others.length ? `; ${began ? 'beside it ' : ''}${others.join('; ')}` : '';
  return `${first}${rest}.${note ? ` ${note}` : ''}`;
}
