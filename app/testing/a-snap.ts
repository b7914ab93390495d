import { resolveCall } from '#core/calls/resolve-call';
import type { KeptMark, SnapView } from '#core/model/snap-view';
import type { Grade } from '#core/model/grade';
import { A_CALL } from '#core/testing/a-call';
import { anEntry } from '#core/testing/a-log';
import { need } from '#core/testing/need';

/** What everybody is asked on a snap for tests. */
export const A_RESOLUTION = need(resolveCall(A_CALL));

/** A mark as the server keeps it. */
export const aMark = (blocker: string, grade: Grade, revision = 1): KeptMark => ({
  blocker,
  grade,
  revision,
  asked: { block: 'drive', target: 'T', next: null, partners: [], role: 'alone', schools: [] },
});

/** A snap of a game as it is watched and graded. */
export const aSnap = (id: number, change: Partial<SnapView> = {}): SnapView => ({
  ...anEntry(id % 10),
  id,
  gameId: Math.floor(id / 10),
  resolution: A_RESOLUTION,
  clips: [],
  revision: 1,
  rubric: 'assignment-technique@1',
  grades: [],
  own: [],
  ownGrades: false,
  followed: false,
  notes: [],
  field: [],
  ...change,
});
