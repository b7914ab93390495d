import type { Asked } from '../../model/asked';
import type { GradedSnap } from '../../model/snap-body';
import type { Consequence, Grade } from '../../model/grade';
import { BLOCKS, type BlockId } from '../../vocabulary/index';
import type { BlockWord } from '../../vocabulary/word';
import { assignmentKept, bothKept, plusKept } from '../rubrics/rubric';
import { rubricOf } from '../rubrics/index';
import { snapColumns } from './play-result';

export const askedOf = ({
  block,
  target,
  next,
  partners,
  technique,
}: GradedSnap['resolution']['assignments'][number]): Asked => ({
  block,
  target,
  next,
  partners,
  role: technique?.role ?? 'alone',
  schools: technique?.schools ?? [],
});

/** Parts of the line, as they are coached together. */
const UNITS: Readonly<Record<string, string>> = {
  LT: 'tackles',
  RT: 'tackles',
  LG: 'guards',
  RG: 'guards',
  C: 'centre',
  Y: 'tight ends and wings',
  H: 'tight ends and wings',
  X: 'receivers',
  Z: 'receivers',
};
export const unitOf = (seat: string): string => UNITS[seat] ?? 'backs';

/** How hard it was: with whom, and whether he had to go somewhere. */
export function helpOf({ partners, role, block }: Asked): string {
  if (partners.length > 0 && role !== 'alone') return 'helped';
  const word: BlockWord | undefined = BLOCKS[block as BlockId];
  const goes = word?.course === 'behind-the-line' || word?.course === 'climb' || word?.runsToHim;
  return goes ? 'alone, on the move' : 'alone';
}

/** Stands between the letters of one of their men and whose he is: "T of Quillport Terns". */
export const FOE_OF = ' of ';
/** The letters alone. */
export const foeOf = (key: string): string => key.slice(0, key.indexOf(FOE_OF));

/** One grade as the Book counts it: what it is counted by, and what it says. */
export interface Marked {
  readonly blocker: string;
  readonly unit: string;
  readonly pair: string | null;
  readonly scheme: string;
  readonly side: string;
  readonly front: string;
  readonly formation: string;
  readonly block: string;
  /** Their man he was asked to block, by his letters; `null` for nobody. */
  readonly target: string | null;
  readonly help: string;
  readonly quarter: number;
  readonly down: number;
  readonly distance: string;
  readonly zone: string | null;
  readonly gained: string;
  readonly rubric: string;
  readonly assignment: boolean | null;
  readonly technique: boolean | null;
  readonly finish: boolean | null;
  readonly bothKept: boolean | null;
  readonly outcome: boolean | null;
  /** Was what the film proposed what was marked? `null` where it proposed nothing, or nobody could tell. */
  readonly film: boolean | null;
  readonly earned: number;
  readonly possible: number;
  readonly faults: string[];
  readonly facts: string[];
  /** What a miss meant to the play; `null` where nobody said. */
  readonly consequence: Consequence | null;
  readonly phasesDone: string[];
  readonly phasesNot: string[];
}

/** What the Book keeps of a grade; `null` for a snap that is in no count, or a man who had no part in it. */
export function markedOf(
  { call, situation, logged }: Pick<GradedSnap, 'call' | 'situation' | 'logged'>,
  blocker: string,
  asked: Asked,
  grade: Grade,
): Marked | null {
  if (logged.notCounted || !grade.counts) return null;
  const phases = Object.entries(grade.phases);
  return {
    blocker,
    unit: unitOf(blocker),
    pair: asked.partners.length > 0 ? [blocker, ...asked.partners].sort().join(' and ') : null,
    ...snapColumns({ call, situation }),
    block: asked.block,
    target: asked.target,
    help: helpOf(asked),
    rubric: grade.rubric,
    assignment: assignmentKept(grade),
    technique: plusKept(grade.technique),
    finish: plusKept(grade.finish),
    bothKept: bothKept(grade),
    outcome: grade.outcome === null || grade.outcome === 'cannot tell' ? null : grade.outcome === 'success',
    film: filmWasRight(grade),
    ...rubricOf(grade.rubric).worth(grade, asked.block),
    faults: [...grade.faults],
    facts: [...grade.facts],
    consequence: grade.consequence,
    phasesDone: phases.filter(([, mark]) => mark === 'done').map(([phase]) => phase),
    phasesNot: phases.filter(([, mark]) => mark === 'not').map(([phase]) => phase),
  };
}

function filmWasRight({ proposed, assignment }: Grade): boolean | null {
  if (!proposed || proposed.assignment === null) return null;
  return assignment === 'right' || assignment === 'wrong' ? assignment === proposed.assignment : null;
}
