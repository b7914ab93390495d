import { describeFacts } from '../../identify/identify';
import { BALL_AT_LINE } from '../../kinematics/speeds';
import { SHIPPED_CALL_WORDS } from '../../model/call-words';
import { lineOf, type Formation } from '../../model/formation';
import type { Resolution } from '../../model/resolution';
import { signOf } from '../../model/side';
import { YARD } from '../../geometry/units';
import type { Tempo } from '../../model/scheme';
import { NOBODY } from '../../vocabulary/scene';
import type { Outcome } from '../allot/outcome';
import { explainFault, type Worked } from '../judge/judge';
import { carryOf, expectedGain } from '../judge/race';
import type { Aim, Prepared } from '../prepare/prepare-call';
import { explainAssignments, explainDefenders } from './explain';
import { explainPassing } from './explain-passing';
import { lineCalls } from './line-calls';
import { mikeOf } from './mike';

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
    identification: {
      ...describeFacts(outcome.settled.scene.facts, {
        side: call.side,
        settings,
        scheme: numbersOf(outcome, formation, attack.x),
      }),
      mike: mikeOf(outcome.settled.call, outcome.settled.scene),
    },
    assignments: inLineOrder(
      explainAssignments(outcome, call.side, words, { head: scheme.head, aim, settings }),
      formation,
    ),
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
    expected: pocket ? null : expectedOf(outcome, aim, scheme.head.tempo, settings.standardYards),
    passing: pocket && explainPassing(outcome, pocket),
    movement: null,
  };
}

function expectedOf(outcome: Outcome, aim: Aim, tempo: Tempo, standard: number): Resolution['expected'] {
  const { gains, metBy } = expectedGain(outcome, carryOf(aim, tempo));
  return {
    yards: Math.round((gains / YARD) * 10) / 10,
    metBy: metBy === NOBODY ? null : outcome.settled.scene.defenders[metBy]!.id,
    standard,
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
