import { assignmentKept, type Rubric } from './rubric';

/** Blocks that decide a play more often than others weigh more; what is not named weighs one. */
const WEIGHTS: Readonly<Record<string, number>> = {
  double: 1.5,
  man: 1.5,
  'pull-kick': 1.5,
  trap: 1.5,
  reach: 1.25,
  'pull-lead': 1.25,
  'pull-wrap': 1.25,
  climb: 1.25,
  leave: 0.25,
  read: 0.25,
};
const MOST = 4;

export const points: Rubric = {
  id: 'points',
  version: 1,
  name: 'Points, nought to four',
  says: 'Four: he took him out of the play. Three: did his job. Two: a draw. One: beaten. Nought: wrong man. Hard blocks weigh more.',
  parts: ['assignment', 'points'],
  passLine: 0.7,
  done: { finish: null, points: 3 },
  worth(grade, block) {
    const weight = WEIGHTS[block] ?? 1;
    if (assignmentKept(grade) === false) return { earned: 0, possible: weight };
    if (grade.points === null) return { earned: 0, possible: 0 };
    return { earned: (weight * grade.points) / MOST, possible: weight };
  },
};
