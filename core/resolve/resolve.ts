import { SHADE } from '../geometry/tolerances';
import { describeFacts, Facts } from '../identify/identify';
import { attackOf } from '../kinematics/attack';
import { pocketOf } from '../kinematics/passing';
import { BALL_AT_LINE } from '../kinematics/speeds';
import { lineOf, type Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Overrides } from '../model/identification';
import type { Resolution } from '../model/resolution';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import { signOf, type Side } from '../model/side';
import { SHIPPED_CALL_WORDS, type CallWords } from '../model/call-words';
import type { CompiledScheme } from './compile';
import { seatCall, type SeatedCall } from './seat-call';
import { explainAssignments, explainDefenders } from './explain';
import { explainPassing } from './explain-passing';
import { explainFault, judge } from './judge';
import type { Aim, Judgement } from './judge-case';
import { lineCalls } from './line-calls';
import { settleOutcome, type Outcome } from './outcome';
import { setScene } from './set-scene';
import { settleFirstLevel } from './settle';
import { tagsInForce, type TagChoice } from './tags';

export interface Call extends TagChoice {
  readonly side: Side;
  readonly settings?: Settings;
  readonly overrides?: Overrides;
  readonly words?: CallWords;
}

/** A call made ready for any number of fronts. */
export interface Prepared {
  readonly scheme: CompiledScheme;
  readonly formation: Formation;
  readonly call: Call;
  readonly settings: Settings;
  readonly tags: ReadonlySet<string>;
  /** Whose sentences are whose. */
  readonly seated: SeatedCall;
  /** In the scene's frame: play side positive. */
  readonly aim: Aim;
}

/** A call worked out against one front, as a compact decision record: who does what and what is wrong with it, nothing said yet. */
export interface Worked {
  readonly outcome: Outcome;
  readonly judgement: Judgement;
}

export function prepareCall(scheme: CompiledScheme, formation: Formation, call: Call): Prepared {
  const sign = signOf(call.side);
  const noses = lineOf(formation)
    .map((m) => (m.x === 0 ? 0 : m.x * sign))
    .sort((a, b) => a - b);
  const settings = call.settings ?? SHIPPED_SETTINGS;
  const tags = tagsInForce(scheme, call);
  return {
    scheme,
    formation,
    call,
    settings,
    tags,
    seated: seatCall(scheme, formation, call.side, tags),
    aim: {
      attack: attackOf(scheme.head.entry, noses, SHADE),
      pocket: scheme.head.throw && pocketOf(scheme.head.throw, formation, settings),
    },
  };
}

/** Who does what, as a compact outcome without a verdict. */
export function decide({ seated, formation, call, settings }: Prepared, front: Front): Outcome {
  const facts = new Facts(formation, front, { side: call.side, settings, overrides: call.overrides });
  return settleOutcome(settleFirstLevel(seated, setScene(seated, facts)));
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
 * Works a scheme out against one front: assignments, reasons, calls, verdict. Places in feet, field frame.
 * Pure and deterministic: mirroring everything mirrors the answer, and the order of the defenders does not matter.
 */
export function resolve(scheme: CompiledScheme, formation: Formation, front: Front, call: Call): Resolution {
  const prepared = prepareCall(scheme, formation, call);
  return explainWorked(prepared, workOut(prepared, front));
}

/** Says everything about a decision record. */
export function explainWorked(
  { scheme, formation, call, settings, tags, aim }: Prepared,
  { outcome, judgement }: Worked,
): Resolution {
  const words = call.words ?? SHIPPED_CALL_WORDS;
  const { attack, pocket } = aim;
  return {
    scheme: scheme.tree.id,
    side: call.side,
    tags: [...tags],
    verdict: judgement.verdict,
    identification: describeFacts(outcome.settled.scene.facts, {
      side: call.side,
      settings,
      scheme: numbersOf(outcome, formation, attack.x),
    }),
    assignments: inLineOrder(explainAssignments(outcome, call.side, aim, words), formation),
    defenders: explainDefenders(outcome),
    calls: lineCalls(outcome, words),
    problems: judgement.faults.map((fault) => explainFault(outcome, fault)),
    notes: judgement.notes.map((say) => say()),
    attack: pocket
      ? { x: pocket.spot.x === 0 ? 0 : pocket.spot.x * signOf(call.side), time: pocket.time, gap: 'pass' }
      : {
          x: attack.x === 0 ? 0 : attack.x * signOf(call.side),
          time: BALL_AT_LINE[scheme.head.tempo],
          gap: scheme.head.entry,
        },
    passing: pocket && explainPassing(outcome, pocket),
    movement: null,
  };
}

/** As the offence stands: left to right on the line, then everybody else. */
function inLineOrder(assignments: Resolution['assignments'], formation: Formation): Resolution['assignments'] {
  const line = lineOf(formation).map((m) => m.id);
  const place = (id: string): number => {
    const at = line.indexOf(id);
    return at < 0 ? line.length : at;
  };
  const x = (id: string): number => formation.men.find((m) => m.id === id)?.x ?? 0;
  return [...assignments].sort((a, b) => place(a.blocker) - place(b.blocker) || x(a.blocker) - x(b.blocker));
}

function numbersOf(outcome: Outcome, formation: Formation, attack: number) {
  const { scene } = outcome.settled;
  const blockers = outcome.men.map((m) => scene.men[m.man]!.id);
  const spareMen = formation.men.filter((m) => !blockers.includes(m.id));
  const spare = new Set<'wrapper' | 'insert' | 'receiver'>();
  for (const man of spareMen) {
    if (man.kind === 'hback' || man.kind === 'fullback') spare.add('insert');
    if (man.kind === 'fullback' || man.kind === 'back') spare.add('wrapper');
    if (man.kind === 'wide' || man.kind === 'slot') spare.add('receiver');
  }
  return {
    blockers,
    spare: [...spare],
    attack,
    free: scene.defenders.filter((d) => outcome.defenders[d.index]!.status === 'free').map((d) => d.id),
    reads: outcome.defenders.filter((d) => d.status === 'read' || d.status === 'left').length,
  };
}
