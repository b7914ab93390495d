import type { Grade, Proposed } from '../../model/grade';
import type { Proposal } from '../../model/proposal';

/** A fault proposed less surely than this is told and not taken. */
const TAKEN = 0.5;
const MOST_FAULTS = 2;

/** What is kept of a proposal beside the mark that was given, so that its hits can be counted. */
export const proposedOf = ({ assignment, sure, faults }: Proposal): Proposed => ({
  assignment,
  sure: Math.round(100 * sure) / 100,
  faults: faults.map((f) => f.fault).slice(0, MOST_FAULTS),
});

/** The grade that says what the film proposes; `null` where it proposes nothing. `done`: that of a man who did his job. */
export function takeProposal(proposal: Proposal, done: Grade): Grade | null {
  const { assignment, faults, had, outcome, cost } = proposal;
  if (assignment === null) return null;
  const taken = faults.filter((f) => f.sure >= TAKEN).map((f) => f.fault);
  const technique = taken.some((f) => f !== 'wrong-man') ? 'minus' : done.technique;
  const isMiss = assignment === 'wrong' || technique === 'minus';
  const hit = assignment === 'wrong' ? (had[0]?.defender ?? null) : null;
  return {
    ...done,
    assignment,
    technique,
    faults: taken.slice(0, MOST_FAULTS),
    outcome,
    hit,
    consequence: isMiss ? (cost?.consequence ?? null) : null,
    proposed: proposedOf(proposal),
  };
}
