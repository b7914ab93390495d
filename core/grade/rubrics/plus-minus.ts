import { bothKept, alike, type Rubric } from './rubric';

export const plusMinus: Rubric = {
  id: 'plus-minus',
  version: 1,
  name: 'Plus and minus',
  says: 'One plus or minus a snap: a plus needs the right man and the end that his block asks for.',
  parts: ['assignment', 'technique'],
  passLine: 0.8,
  done: { finish: null, points: null },
  worth: (grade) => alike([bothKept(grade)]),
};
