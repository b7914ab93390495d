import { CORNER_WIDTH } from '../geometry/tolerances';
import { YARD } from '../geometry/units';
import { levelOf } from '../identify/line';
import { readFormation } from '../language/lineups/read-formation';
import { lineOf, type Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Verdict } from '../model/resolution';
import { otherSide, signOf, type Side } from '../model/side';
import { workPlay } from '../movement/play';
import { carryOf, expectedGain, holdOf, sayHold } from '../resolve/judge/race';
import type { Attack } from '../kinematics/attack';
import { prepareCall, type Call } from '../resolve/prepare/prepare-call';
import { toggleTag } from '../resolve/prepare/tags';
import type { CompiledScheme } from '../resolve/prepare/compile';
import type { Outcome } from '../resolve/allot/outcome';
import { NOBODY } from '../vocabulary/scene';
import { canMotion } from './lineups';
import type { Change } from './mend';

/** What a coach does about one man too many, in the order in which it costs more. */
export const ANSWERS = ['leave', 'read', 'run at', 'throw at', 'move', 'shift', 'bring'] as const;
export type AnswerKind = (typeof ANSWERS)[number];

/** One way to live with a man whom nobody has, and what it costs. */
export interface TooFewAnswer {
  readonly kind: AnswerKind;
  readonly says: string;
  readonly costs: string;
  /** How the call is made so; `null` where nothing of the blocking changes. */
  readonly change: Change | null;
}

/** The man who hurts first of those whom nobody has, and the answers to him. */
export interface TooFew {
  readonly who: string;
  readonly answers: readonly TooFewAnswer[];
}

export interface TooFewCase {
  readonly scheme: CompiledScheme;
  /** Formation in inline notation, so that a man can be moved. */
  readonly formationText: string;
  readonly front: Front;
  readonly call: Call;
}

/** Answers to the first man who is not had and meets the ball before a good gain; `null` when nobody does, or the call is a pass. */
export function tooFew({ scheme, formationText, front, call }: TooFewCase): TooFew | null {
  const formation = readFormation(formationText);
  if (!formation.ok || scheme.head.throw) return null;
  const prepared = prepareCall(scheme, formation.value, call);
  const { outcome } = workPlay(prepared, front);
  const { scene } = outcome.settled;
  const carry = carryOf(prepared.aim, scheme.head.tempo);
  const standard = prepared.settings.standardYards * YARD;
  const { gains, metBy } = expectedGain(outcome, carry);
  if (metBy === NOBODY || gains >= standard) return null;
  const him = scene.defenders[metBy]!;
  const where = front.defenders.find((d) => d.id === him.id)!;
  const attempt = (formationThen: string, callThen: Call): Tried | null =>
    tryIt(scheme, formationThen, front, callThen, him.id);
  const answers: TooFewAnswer[] = [];
  const add = (kind: AnswerKind, says: string, cost: string, change: Change, tried: Tried | null): void => {
    if (tried?.taken) answers.push({ kind, says, costs: `${cost}; then ${tried.verdict}`, change });
  };
  // Nobody is held who stands in the hole.
  if (!outcome.settled.scene.first.includes(metBy) || isOutside(him.x, prepared.aim.attack))
    answers.push({
      kind: 'leave',
      says: `leave ${him.id}, and hold him`,
      costs: `a fake or a man in motion has to hold him for ${sayHold(holdOf(scene, metBy, carry, standard))}`,
      change: null,
    });
  const readNow = readBy(outcome);
  for (const { name, says } of scheme.tags) {
    if (prepared.tags.has(name)) continue;
    const tried = attempt(formationText, { ...call, ...toggleTag(scheme, call, name) });
    const change: Change = { kind: 'tag', tag: name, on: true };
    const reads = tried?.reads.filter((id) => !readNow.includes(id)) ?? [];
    // Whom he reads sets somebody free for the man who was too many, or is that man himself.
    if (reads.length > 0)
      add(
        'read',
        `read ${reads.join(', ')}: call ${name}`,
        'the quarterback keeps it when he goes for the back',
        change,
        tried,
      );
    else if (tried?.status === 'left') add('leave', `leave ${him.id} by call: ${name}`, says, change, tried);
  }
  const his: Side = where.x > 0 ? 'right' : 'left';
  if (his !== call.side)
    add(
      'run at',
      `run at him, to the ${his}`,
      'the play goes to his side',
      { kind: 'side', side: his },
      attempt(formationText, { ...call, side: his }),
    );
  const receiver = outsideReceiver(formation.value, where);
  if (receiver !== null)
    answers.push({
      kind: 'throw at',
      says: `throw to ${receiver}, whom ${him.id} leaves when he comes`,
      costs: 'the line blocks the run: how far downfield it may go before the throw is in your rule book',
      change: null,
    });
  for (const { kind, says, cost, text } of lineupsFor(formation.value, formationText, his))
    add(kind, says, cost, { kind: 'lineup', text, says }, attempt(text, call));
  return { who: him.id, answers: answers.sort((a, b) => ANSWERS.indexOf(a.kind) - ANSWERS.indexOf(b.kind)) };
}

const isOutside = (x: number, { lo, hi }: Attack): boolean => x < lo || x > hi;

interface Tried {
  readonly verdict: Verdict;
  readonly status: string;
  /** Whom the quarterback reads. */
  readonly reads: readonly string[];
  /** He is had, read or left by design now. */
  readonly taken: boolean;
}

function tryIt(scheme: CompiledScheme, text: string, front: Front, call: Call, who: string): Tried | null {
  const formation = readFormation(text);
  if (!formation.ok) return null;
  const { outcome, judgement } = workPlay(prepareCall(scheme, formation.value, call), front);
  const index = outcome.settled.scene.defenders.findIndex((d) => d.id === who);
  const { status } = outcome.defenders[index]!;
  return { verdict: judgement.verdict, status, reads: readBy(outcome), taken: status !== 'free' };
}

const readBy = ({ settled: { scene }, defenders }: Outcome): string[] =>
  scene.defenders.filter((d) => defenders[d.index]!.status === 'read').map((d) => d.id);

/** A receiver near a man outside the line, or outside him: who is open when that man comes to the run. */
function outsideReceiver(formation: Formation, him: { readonly x: number; readonly y: number }): string | null {
  const last = Math.max(
    ...lineOf(formation)
      .filter((m) => m.x > 0 === him.x > 0)
      .map((m) => Math.abs(m.x)),
  );
  if (Math.abs(him.x) <= last || levelOf(him) === 1) return null;
  const near = formation.men.filter(
    (m) =>
      (m.kind === 'slot' || m.kind === 'wide') &&
      m.x > 0 === him.x > 0 &&
      Math.abs(m.x) > Math.abs(him.x) - CORNER_WIDTH,
  );
  near.sort((a, b) => Math.abs(a.x - him.x) - Math.abs(b.x - him.x));
  return near[0]?.id ?? null;
}

interface OtherLineup {
  readonly kind: 'bring' | 'move' | 'shift';
  readonly says: string;
  readonly cost: string;
  readonly text: string;
}

/** The same formation with one more hat on his side: somebody in motion, the tight end on the other side, another blocker. */
function lineupsFor(formation: Formation, text: string, side: Side): OtherLineup[] {
  const found: OtherLineup[] = [];
  for (const id of canMotion(formation)) {
    const man = formation.men.find((m) => m.id === id)!;
    const moved = turned(text, id, side);
    if (man.kind !== 'back' && man.x * signOf(side) < 0 && moved !== null)
      found.push({ kind: 'move', says: `move ${id} across`, cost: 'whoever has him may go with him', text: moved });
  }
  const ends = lineOf(formation).filter((m) => m.kind === 'tight');
  const [end] = ends;
  const shifted = end && turned(text, end.id, side);
  if (ends.length === 1 && end!.x * signOf(side) < 0 && shifted)
    found.push({
      kind: 'shift',
      says: `shift ${end!.id} to the ${side}`,
      cost: 'they see the strength before the snap and may shift with it',
      text: shifted,
    });
  if (!formation.men.some((m) => m.id === 'Y'))
    found.push({
      kind: 'bring',
      says: `bring a tight end, ${side}`,
      cost: 'a receiver less, and they bring a man too',
      text: `${text}; Y ${side}`,
    });
  else if (!formation.men.some((m) => m.id === 'H'))
    found.push({
      kind: 'bring',
      says: `bring an H, ${side}`,
      cost: 'a receiver less, and they bring a man too',
      text: `${text}; H ${side}`,
    });
  return found;
}

/** The text with one man on the other side; `null` where it does not name a side for him. */
function turned(text: string, id: string, to: Side): string | null {
  const found = text.replace(new RegExp(`\\b(${id} (?:[a-z]+ )?)${otherSide(to)}\\b`), `$1${to}`);
  return found === text ? null : found;
}
