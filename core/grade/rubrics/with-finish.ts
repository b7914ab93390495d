import { assignmentKept, alike, plusKept, type Rubric } from './rubric';

export const withFinish: Rubric = {
  id: 'with-finish',
  version: 1,
  name: 'Assignment, technique and finish',
  says: 'Three marks a snap: the right man, done as asked, and still on him at the whistle.',
  parts: ['assignment', 'technique', 'finish'],
  passLine: 0.8,
  done: { finish: 'plus', points: null },
  worth: (grade) => alike([assignmentKept(grade), plusKept(grade.technique), plusKept(grade.finish)]),
};
