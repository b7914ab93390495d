import { sayPhrase, saySentence } from '../../language/print';
import type { Action } from '../../language/tree';
import { mirrorPoint, type Point } from '../../geometry/vec';
import type { Assignment, Resolution } from '../../model/resolution';
import type { Side } from '../../model/side';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { CallWords } from '../../model/call-words';
import { FAILS, whyNot } from '../prepare/phrase';
import { callOf } from './line-calls';
import type { ManOutcome, Outcome } from '../allot/outcome';
import { footOf, pathOf } from './paths';
import { whyRather } from './rather';
import { stanceOf } from './stance';
import { techniqueOf, type TechniqueCall } from './technique';
import type { CompiledSentence } from '../prepare/sentence';
import { sceneWith } from '../settle/set-scene';
import type { Settled } from '../settle/settled';
import { leftBy } from '../settle/settle';

/** Every man's assignment with its path, technique and reasons, from the decision record; back in the field frame. */
export function explainAssignments(outcome: Outcome, side: Side, words: CallWords, how: TechniqueCall): Assignment[] {
  const { scene } = outcome.settled;
  const { aim, settings } = how;
  const turn = (p: Point): Point => {
    const back = side === 'right' ? p : mirrorPoint(p);
    return { x: round(back.x), y: round(back.y) };
  };
  const ids = (who: readonly number[]): string[] => who.map((m) => scene.men[m]!.id);
  const foe = (d: number): string | null => (d === NOBODY ? null : scene.defenders[d]!.id);
  return outcome.men.map((plan) => {
    const { parts, sheet } = techniqueOf(outcome, plan, how);
    const foot = footOf(scene, plan, parts.foot, side);
    const stance = stanceOf(scene, plan, settings, aim.pocket !== null);
    const call = callOf(scene, plan);
    return {
      blocker: scene.men[plan.man]!.id,
      block: plan.block,
      target: foe(plan.target),
      partners: ids(plan.partners),
      next: foe(plan.next),
      pull: plan.pull,
      help: plan.help,
      path: pathOf(scene, plan, aim).map(turn),
      step: { kind: parts.step, foot },
      aim: parts.aim,
      eyes: parts.eyes,
      technique: {
        ...sheet,
        stance,
        stepsWith: stance.back === null ? 'either foot' : stance.back === foot ? 'back foot' : 'front foot',
      },
      call: call ? words[call] : null,
      followUps: followUpsOf(outcome, plan),
      because: { ...reasonsOf(outcome, plan), rather: whyRather(outcome, plan) },
    };
  });
}

const round = (value: number): number => Math.round(value * 100) / 100 + 0;

function followUpsOf({ settled }: Outcome, plan: ManOutcome): string[] {
  if (plan.sentence < 0 || plan.instead) return [];
  return settled.sheets[plan.man]![plan.sentence]!.sentence.followUps.map(
    (f) => `if ${sayPhrase(f.event)}: ${sayPhrase(f.reaction)}`,
  );
}

/** The sentence that fired, and why every one before it did not. */
function reasonsOf({ settled }: Outcome, plan: ManOutcome): Omit<Assignment['because'], 'rather'> {
  const sheet = settled.sheets[plan.man]!;
  const upTo = plan.sentence < 0 ? sheet.length : plan.sentence;
  const foe = plan.target === NOBODY ? '' : settled.scene.defenders[plan.target]!.id;
  const chosen = sceneWith(settled.scene, settled.chosen);
  const passedOver = sheet.slice(0, upTo).map((s, i) => ({
    line: s.line,
    sentence: say(s),
    reason: whyPassed(settled, chosen, plan.man, i),
  }));
  if (plan.instead) {
    const { says, line, own } = INSTEAD[plan.instead];
    const his = plan.sentence < 0 ? null : sheet[plan.sentence]!;
    return {
      sentence: says(foe),
      line: line === 'bump' ? settled.bumpLine : (his?.line ?? 0),
      passedOver: his ? [...passedOver, { line: his.line, sentence: say(his), reason: own }] : passedOver,
    };
  }
  if (plan.sentence < 0) return { sentence: 'No sentence stands: he takes the nearest man.', line: 0, passedOver };
  return { sentence: say(sheet[plan.sentence]!), line: sheet[plan.sentence]!.line, passedOver };
}

/** What a man does instead of what his sentence says: in words, by which line, and why not his own. */
const INSTEAD: Record<
  NonNullable<ManOutcome['instead']>,
  { says: (foe: string) => string; line: 'bump' | 'own'; own: string }
> = {
  over: {
    says: (foe) => `bump over to a free man: he takes ${foe}`,
    line: 'bump',
    own: 'then a man on the line would be free',
  },
  on: { says: () => 'bump: his man has a blocker, so he goes on', line: 'bump', own: 'somebody nearer has that man' },
  stay: { says: (foe) => `follow-up: he stays with ${foe}`, line: 'own', own: 'his man moved' },
  climb: { says: () => 'follow-up: he passes his man off and climbs', line: 'own', own: 'his man moved' },
  take: { says: (foe) => `follow-up: he takes ${foe}, who came`, line: 'own', own: 'somebody came' },
};

const say = (s: CompiledSentence): string => saySentence(s.sentence, s.first);

/** Why a man passed a sentence of his over, on the picture as it was when he chose. */
function whyPassed({ sheets, refusals, bound }: Settled, chosen: Scene, man: number, index: number): string {
  const sentence = sheets[man]![index]!;
  const partner = refusals[man]!.get(index);
  if (partner !== undefined) {
    const mate = chosen.proposals[partner]!;
    const busy = mate.target === NOBODY ? 'is called away' : `blocks ${chosen.defenders[mate.target]!.id}`;
    return `${chosen.men[partner]!.id} ${busy}, so nobody helps`;
  }
  if (sentence.when?.(chosen, man, NOBODY) === FAILS) return whyNot(sentence.sentence.when!, chosen, man);
  if (bound?.mayUse(man, sentence, index) === false) return 'nobody starts or stops pulling once the ball is snapped';
  const wanted = sentence.sentence.actions.flatMap(targetsSaid);
  const whom = wanted.length === 0 ? 'nobody' : `no ${[...new Set(wanted)].join(' and no ')}`;
  return `${whom} is there to take${bound ? ' whom nobody has already' : ''}`;
}

/** Whom an action asks for, in its words; nobody where it points at somebody named before. */
function targetsSaid({ block, then }: Action): string[] {
  return [block, then].flatMap((phrase) => {
    const whom = phrase?.slots.whom;
    return typeof whom === 'object' && 'word' in whom && whom.word !== 'him' ? [sayPhrase(whom, { bare: true })] : [];
  });
}

/** Every defender's status, in lateral order, with who has him. */
export function explainDefenders(outcome: Outcome): Resolution['defenders'] {
  const { scene } = outcome.settled;
  return scene.defenders.map((d) => {
    const { status, by } = outcome.defenders[d.index]!;
    return { id: d.id, status, by: by.map((m) => scene.men[m]!.id), because: sayStatus(scene, outcome, d.index) };
  });
}

function sayStatus(scene: Scene, outcome: Outcome, defender: number): string | null {
  const { rule } = outcome.defenders[defender]!;
  if (rule === NOBODY) return null;
  const sheet = outcome.settled.sheets[rule]!;
  const byName = sheet.findIndex(
    (s) =>
      scene.men[rule]!.kind === 'design' &&
      leftBy(sceneWith(scene, outcome.settled.chosen), rule, s)?.all.includes(defender),
  );
  const sentence = sheet[byName < 0 ? scene.proposals[rule]!.sentence : byName];
  return sentence ? say(sentence) : null;
}
