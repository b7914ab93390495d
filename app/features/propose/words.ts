import { upperFirst } from '~/features/board/words';
import { faultName } from '#core/model/faults';
import type { Cost, Proposal } from '#core/model/proposal';

/** From this on it is said plainly; below with a question mark. */
const SURE = 0.7;

/** What the film proposes for a man, in as few words as stand under him. */
export function sayProposal({ assignment, sure, faults }: Proposal): string {
  if (assignment === null) return 'cannot tell';
  const fault = faults.find((f) => f.fault !== 'wrong-man');
  const mark = `${assignment}${sure < SURE ? '?' : ''}`;
  return fault ? `${mark}, ${faultName(fault.fault)}?` : mark;
}

/** What a miss of his meant, as the film shows it. */
export const sayCost = ({ consequence, why }: Cost): string => `${consequence}: ${why}`;

/** How sure it is and what was seen, in a sentence; and where that is a miss, what it meant. */
export function sayWhy({ sure, why, faults, assignment, cost }: Proposal): string {
  const seen = faults.filter((f) => f.fault !== 'wrong-man').map((f) => `${faultName(f.fault)}: ${f.why}`);
  const meant =
    cost && (assignment === 'wrong' || seen.length > 0) ? [`${upperFirst(cost.consequence)}: ${cost.why}`] : [];
  return [`${why} (${Math.round(100 * sure)} % sure.)`, ...seen, ...meant].join(' ');
}

/** Both, as they are read in one go. */
export function sayWhole(proposal: Proposal): string {
  const said = sayProposal(proposal);
  return `${said}${said.endsWith('?') ? '' : '.'} ${sayWhy(proposal)}`;
}
