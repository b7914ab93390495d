import { faultName } from '#core/model/faults';
import type { Proposal } from '#core/model/proposal';

/** From this on it is said plainly; below with a question mark. */
const SURE = 0.7;

/** What the film proposes for a man, in as few words as stand under him. */
export function sayProposal({ assignment, sure, faults }: Proposal): string {
  if (assignment === null) return 'cannot tell';
  const fault = faults.find((f) => f.fault !== 'wrong-man');
  const mark = `${assignment}${sure < SURE ? '?' : ''}`;
  return fault ? `${mark}, ${faultName(fault.fault)}?` : mark;
}

/** How sure it is and what was seen, in a sentence. */
export function sayWhy({ sure, why, faults }: Proposal): string {
  const seen = faults.filter((f) => f.fault !== 'wrong-man').map((f) => `${faultName(f.fault)}: ${f.why}`);
  return [`${why} (${Math.round(100 * sure)} % sure.)`, ...seen].join(' ');
}
