import { FACTS } from '../model/facts';
import { faultName, type OwnFault } from '../model/faults';
import type { Grade, PairMark } from '../model/grade';
import { rubricOf } from './rubrics/index';

/** The marks of a grade in words. */
export function sayMarks(grade: Grade): string {
  if (!grade.counts) return 'had no part in it';
  const { parts } = rubricOf(grade.rubric);
  return [
    `assignment ${grade.assignment}`,
    ...(parts.includes('technique') ? [`technique ${grade.technique}`] : []),
    ...(parts.includes('finish') && grade.finish ? [`finish ${grade.finish}`] : []),
    ...(parts.includes('points') ? [grade.points === null ? 'no points' : `${grade.points} of 4`] : []),
  ].join(', ');
}

const MOVED = { done: 'moved him', not: 'did not move him', 'cannot tell': 'movement not to be seen' } as const;
const HIPS = { done: 'hips together', not: 'hips apart', 'cannot tell': 'hips not to be seen' } as const;

/** What a pair did together. */
export function sayPair({ movement, hips, left, when }: PairMark): string {
  const said = [
    movement ? MOVED[movement] : '',
    hips ? HIPS[hips] : '',
    left && when ? `${left} left ${when}` : '',
  ].filter(Boolean);
  return said.join(', ');
}

/** Everything a grade says beside its marks: faults, facts, whom he hit, what it meant, the note. */
export function sayBeside(grade: Grade, own: readonly OwnFault[] = []): string {
  const said = [
    ...grade.faults.map((f) => faultName(f, own)),
    ...grade.facts.map((f) => FACTS[f].name),
    grade.hit ? `hit ${grade.hit}` : '',
    grade.pair ? sayPair(grade.pair) : '',
    grade.consequence ?? '',
  ].filter(Boolean);
  return [said.join(', '), grade.note].filter(Boolean).join(': ');
}
