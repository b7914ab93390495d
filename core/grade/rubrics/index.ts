import { GradeSchema, type Grade, type RubricRef } from '../../model/grade';
import { assignmentTechnique } from './assignment-technique';
import { plusMinus } from './plus-minus';
import { points } from './points';
import { refOf, type Rubric } from './rubric';
import { withFinish } from './with-finish';

/** Every rubric there is or was; none is ever taken out, as grades stand that were given with it. */
export const RUBRICS: readonly Rubric[] = [plusMinus, assignmentTechnique, withFinish, points];

/** What a program grades with that has chosen nothing. */
export const SHIPPED_RUBRIC: RubricRef = refOf(assignmentTechnique);

/** A rubric by its name and version, or `null` when this build knows none such. */
export const findRubric = (ref: RubricRef): Rubric | null => RUBRICS.find((r) => refOf(r) === ref) ?? null;

/** A rubric that is known to be there. Throws a `RangeError` otherwise. */
export function rubricOf(ref: RubricRef): Rubric {
  const found = findRubric(ref);
  if (!found) throw new RangeError(`there is no rubric "${ref}"`);
  return found;
}

/** What a man is given who did his job. */
export const doneGrade = (ref: RubricRef): Grade =>
  GradeSchema.parse({ rubric: ref, assignment: 'right', technique: 'plus', note: '', ...rubricOf(ref).done });

/**
 * A grade with some of it changed. A minus after a full mark takes the points of a man who did his job away, as a draw at best is left: the
 * grader says the rest himself.
 */
export function changedGrade(grade: Grade, part: Partial<Grade>): Grade {
  const next = { ...grade, ...part };
  const { done, parts } = rubricOf(next.rubric);
  if (!parts.includes('points') || part.points !== undefined) return next;
  if (next.assignment === 'wrong') return { ...next, points: 0 };
  if (part.technique === 'minus' && next.points === done.points) return { ...next, points: 1 };
  if (part.technique === 'cannot tell' || next.assignment === 'cannot tell') return { ...next, points: null };
  if (part.technique === 'plus' && (next.points ?? 0) < done.points!) return { ...next, points: done.points };
  return next;
}
