import { assignmentKept, alike, plusKept, type Rubric } from './rubric';

export const assignmentTechnique: Rubric = {
  id: 'assignment-technique',
  version: 1,
  name: 'Assignment and technique',
  says: 'Two marks a snap, never one from the other: the right man, and done as this block asks.',
  parts: ['assignment', 'technique'],
  passLine: 0.8,
  done: { finish: null, points: null },
  worth: (grade) => alike([assignmentKept(grade), plusKept(grade.technique)]),
};
