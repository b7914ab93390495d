import { sayMovement } from '../language/lineups/read-movement';
import type { Front } from '../model/front';
import type { Assignment, MovementReport, Resolution } from '../model/resolution';
import type { Moved } from './move-front';

/** What the movements of a front changed: who went where, and for every man what he was to do and what he does. */
export function describeChange(front: Front, moved: Moved, before: Resolution, after: Resolution): MovementReport {
  return {
    said: front.movements.map(sayMovement),
    moved: [...moved.ways].map(([id, way]) => ({ id, way: way.map((p) => ({ ...p })) })),
    before: {
      verdict: before.verdict,
      assignments: before.assignments.map(shortly),
      problems: before.problems.map((p) => p.message),
    },
    changed: after.assignments
      .filter((a) =>
        changed(
          before.assignments.find((b) => b.blocker === a.blocker),
          a,
        ),
      )
      .map((a) => a.blocker),
  };
}

const shortly = ({ blocker, block, target, next }: Assignment): MovementReport['before']['assignments'][number] => ({
  blocker,
  block,
  target,
  next,
});

const changed = (was: Assignment | undefined, now: Assignment): boolean =>
  !was || was.target !== now.target || was.next !== now.next || was.block !== now.block;
