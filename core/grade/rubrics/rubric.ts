import type { Grade, RubricRef, TechniqueMark } from '../../model/grade';

/** What a rubric asks a grader to mark. */
export type RubricPart = 'assignment' | 'technique' | 'finish' | 'points';

/** What a grade earned of what it could have, which is 1 unless its block weighs more or less; both 0 where nobody could tell. */
export interface Worth {
  readonly earned: number;
  readonly possible: number;
}

/** A school of grading. One file each; a change of what its marks mean is a new version, so that grades given before keep their meaning. */
export interface Rubric {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  /** How it grades, in a sentence. */
  readonly says: string;
  readonly parts: readonly RubricPart[];
  /** The share of what is possible from which a game is passed; the coach can set his own. */
  readonly passLine: number;
  /** What a man is given who did his job. */
  readonly done: Pick<Grade, 'finish' | 'points'>;
  readonly worth: (grade: Grade, block: string) => Worth;
}

export const refOf = ({ id, version }: Pick<Rubric, 'id' | 'version'>): RubricRef => `${id}@${version}`;

/** What an assignment mark says of him: `null` where nobody could tell, or it was not his fault. */
export function assignmentKept({ assignment }: Grade): boolean | null {
  if (assignment === 'right') return true;
  return assignment === 'wrong' ? false : null;
}

/** What a plus or minus says: `null` where nobody could tell, or nobody was asked. */
export function plusKept(mark: TechniqueMark | null): boolean | null {
  if (mark === 'plus') return true;
  return mark === 'minus' ? false : null;
}

/** Right man and done as asked: one miss is a miss, whatever else could not be told. */
export function bothKept(grade: Grade): boolean | null {
  const [assignment, technique] = [assignmentKept(grade), plusKept(grade.technique)];
  if (assignment === false || technique === false) return false;
  return assignment === null || technique === null ? null : true;
}

/** Every part that could be told weighs the same, and all together one: a snap is a snap in every rubric. */
export function alike(parts: readonly (boolean | null)[]): Worth {
  const told = parts.filter((p) => p !== null);
  return told.length === 0 ? NOTHING : { earned: told.filter(Boolean).length / told.length, possible: 1 };
}
const NOTHING: Worth = { earned: 0, possible: 0 };
