import { Facts } from '../identify/identify';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';
import { settleOutcome, type Outcome } from './allot/outcome';
import { explainWorked } from './explain/explain-worked';
import { judge, type Worked } from './judge/judge';
import type { CompiledScheme } from './prepare/compile';
import { prepareCall, type Call, type Prepared } from './prepare/prepare-call';
import { setScene } from './settle/set-scene';
import { settleFirstLevel } from './settle/settle';

/** Who does what, as a compact outcome without a verdict. */
export function decide({ seated, formation, call, settings, aim }: Prepared, front: Front): Outcome {
  const facts = new Facts(formation, front, { side: call.side, settings, overrides: call.overrides });
  return settleOutcome(settleFirstLevel(seated, setScene(seated, facts)), aim);
}

/** The verdict over an outcome, however it came about. */
export const judged = (prepared: Prepared, outcome: Outcome): Worked => ({
  outcome,
  judgement: judge(prepared.scheme, outcome, prepared.aim, prepared.settings),
});

/** The fast half of `resolve`, with its verdict: what proof over thousands of fronts runs. */
export function workOut(prepared: Prepared, front: Front): Worked {
  return judged(prepared, decide(prepared, front));
}

/**
 * Works a scheme out against one front as it stands before the snap, whatever movements it carries: assignments, reasons, calls,
 * verdict. Places in feet, field frame.
 * Pure and deterministic: mirroring everything mirrors the answer, and the order of the defenders does not matter.
 */
export function resolveStill(scheme: CompiledScheme, formation: Formation, front: Front, call: Call): Resolution {
  const prepared = prepareCall(scheme, formation, call);
  return explainWorked(prepared, workOut(prepared, front));
}
