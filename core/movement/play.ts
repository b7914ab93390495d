import { Facts } from '../identify/identify';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { settleOutcome, type Outcome } from '../resolve/allot/outcome';
import { decide, judged, workOut } from '../resolve/resolve';
import { explainWorked } from '../resolve/explain/explain-worked';
import { prepareCall, type Call, type Prepared } from '../resolve/prepare/prepare-call';
import type { Worked } from '../resolve/judge/judge';
import { setScene } from '../resolve/settle/set-scene';
import { settleFirstLevel } from '../resolve/settle/settle';
import { bindMen } from './bind';
import { describeChange } from './describe-change';
import { moveFront } from './move-front';

/** A call worked out before the snap and after the front has moved. */
export interface MovedWork {
  readonly before: Worked;
  readonly after: Worked;
}

/**
 * Works a call out against a front and, when the front moves, once more on the picture after the snap: men whose sentence says what to do
 * when somebody moves do that, everybody else reads his rule again there. Nobody starts or stops pulling, reads and looks stay as they
 * were called, and a deal stays with the man. Pure and deterministic.
 */
export function workPlay(prepared: Prepared, front: Front): Worked {
  return front.movements.length === 0 ? workOut(prepared, front) : workMoved(prepared, front).after;
}

/** Both pictures of a front that moves. */
export function workMoved(prepared: Prepared, front: Front): MovedWork {
  const before = decide(prepared, front);
  return { before: judged(prepared, before), after: judged(prepared, decideAfter(prepared, front, before)) };
}

function decideAfter(prepared: Prepared, front: Front, before: Outcome): Outcome {
  const { seated, formation, call, settings } = prepared;
  const { scene: was } = before.settled;
  const moved = moveFront(front, formation).front;
  const facts = new Facts(formation, moved, {
    side: call.side,
    settings,
    overrides: call.overrides,
    before: was.facts,
  });
  const scene = setScene(seated, facts, was);
  return settleOutcome(settleFirstLevel(seated, scene, bindMen(before, scene, prepared.aim.attack.x)), prepared.aim);
}

/** As `resolve`, with the movements of the front: assignments are those after the snap, and `movement` says what changed and why. */
export function resolve(scheme: CompiledScheme, formation: Formation, front: Front, call: Call): Resolution {
  const prepared = prepareCall(scheme, formation, call);
  if (front.movements.length === 0) return explainWorked(prepared, workOut(prepared, front));
  const work = workMoved(prepared, front);
  const [before, after] = [explainWorked(prepared, work.before), explainWorked(prepared, work.after)];
  return {
    ...after,
    identification: before.identification,
    calls: before.calls,
    movement: describeChange(front, moveFront(front, formation), before, after),
  };
}
