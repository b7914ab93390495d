import { standardOf } from '#core/grade/standards';
import { doneGrade } from '#core/grade/rubrics/index';
import { helpOf } from '#core/grade/book/marked';
import { FIRST_SNAP, situationAfter } from '#core/film/log/series';
import type { Asked } from '#core/model/asked';
import type { FactId } from '#core/model/facts';
import type { Grade, RubricRef } from '#core/model/grade';
import type { Call, Situation } from '#core/model/snap';
import type { Lineup } from '#core/film/log/lineup';
import { chance } from './cameras/random';
import { demoCall, type DemoFormation, type DemoFront } from './calls';

/** A game of the season that was graded before the one on film: made up snap by snap, as messy as grades really are. */
export interface PlayedGame {
  readonly opponent: string;
  readonly week: number;
  readonly snaps: number;
  /** With which rubric it was graded: the staff changed it after the first game. */
  readonly rubric: RubricRef;
  readonly seed: number;
  /** Who came in for whom; by their numbers on the roster. */
  readonly seats: readonly { readonly from: number; readonly seat: string; readonly player: number }[];
  /** The assistant has graded it as well, on a sheet of his own. */
  readonly twice: boolean;
}

export const PLAYED_GAMES: readonly PlayedGame[] = [
  {
    opponent: 'Quillport Terns',
    week: 2,
    snaps: 58,
    rubric: 'plus-minus@1',
    seed: 20,
    // The centre sat out the end with a cut hand.
    seats: [{ from: 44, seat: 'C', player: 66 }],
    twice: false,
  },
  {
    opponent: 'Graymoor Millers',
    week: 3,
    snaps: 63,
    rubric: 'assignment-technique@1',
    seed: 31,
    // The right tackle turned an ankle early and did not come back.
    seats: [{ from: 12, seat: 'RT', player: 78 }],
    twice: true,
  },
  {
    opponent: 'Saltmarsh Union',
    week: 4,
    snaps: 55,
    rubric: 'assignment-technique@1',
    seed: 47,
    seats: [
      { from: 20, seat: 'LG', player: 66 },
      { from: 31, seat: 'LG', player: 64 },
    ],
    twice: false,
  },
];

type Kind = readonly [scheme: string, side: 'left' | 'right', formation: DemoFormation, front: DemoFront];
/** What the Lanterns call, about as often as it stands here. */
const CALLED: readonly Kind[] = [
  ['inside-zone-z1', 'right', 'Five-man', 'Over'],
  ['inside-zone-z1', 'left', 'Five-man', 'Over'],
  ['inside-zone-z1', 'right', 'Five-man', 'Odd'],
  ['inside-zone-z2', 'right', 'Tight end right', 'Under'],
  ['inside-zone-z2', 'left', 'Five-man', 'Under'],
  ['power', 'right', 'H right', 'Over'],
  ['power', 'left', 'H left', 'Over'],
  ['power', 'right', 'H right', 'Odd'],
  ['power', 'right', 'H right', 'Under'],
  ['duo', 'right', 'Tight end right', 'Over'],
  ['duo', 'right', 'Tight end right', 'Under'],
  ['counter-gt', 'right', 'Tight end right', 'Over'],
  ['outside-zone', 'left', 'Tight end right', 'Over'],
  ['outside-zone', 'right', 'Tight end right', 'Under'],
  ['pro-five-back', 'right', 'One back behind', 'Over'],
  ['pro-five-back', 'right', 'One back behind', 'Odd'],
  ['pro-half-slide', 'right', 'One back behind', 'Under'],
  ['pro-half-slide', 'right', 'One back behind', 'Over'],
];

export interface PlayedSnap {
  readonly call: Call;
  readonly situation: Situation;
  readonly notCounted: string;
}

/** The snaps of a game, one following from the other. */
export function snapsOfGame({ snaps, seed }: PlayedGame): PlayedSnap[] {
  const random = chance(seed);
  const touching = chance(seed + 1);
  const made: PlayedSnap[] = [];
  let next: Situation = { ...FIRST_SNAP, toGoal: 70 };
  for (let i = 0; i < snaps; i++) {
    const [scheme, side, formation, front] = CALLED[Math.floor(random() * CALLED.length)]!;
    const isThrow = scheme.startsWith('pro-');
    const notCounted = random() < 0.03 ? 'flag before the snap' : '';
    const gain = notCounted ? 0 : gainOf(isThrow, random);
    const quarter = Math.min(4, 1 + Math.floor((4 * i) / snaps));
    const situation: Situation = {
      ...next,
      quarter,
      gain: Math.min(gain, next.toGoal ?? 99),
      beforeContact: isThrow || notCounted ? null : touchedAfter(gain, touching),
      result: isThrow && gain === 0 ? 'incomplete' : gain < -4 ? 'sacked' : 'went on',
      hash: (['left', 'middle', 'right'] as const)[Math.floor(random() * 3)]!,
    };
    made.push({ call: demoCall(scheme, side, formation, front), situation, notCounted });
    const after = situationAfter(situation);
    const isNew = after.series !== situation.series;
    next = isNew ? { ...after, toGoal: 60 + Math.floor(random() * 25) } : after;
  }
  return made;
}

/** How far a runner who gained so much went untouched; on some snaps nobody looked. */
function touchedAfter(gain: number, random: () => number): number | null {
  const untouched = Math.min(gain, Math.round(gain / 2 - 1 + 2 * random()));
  return random() < 0.15 ? null : untouched;
}

function gainOf(isThrow: boolean, random: () => number): number {
  const luck = random();
  if (!isThrow) return Math.round(-2 + 11 * luck ** 1.7 + (random() < 0.06 ? 9 : 0));
  if (luck < 0.08) return -6;
  if (luck < 0.45) return 0;
  return Math.round(2 + 14 * random() ** 1.5);
}

/** How often a man's block goes wrong: by his number, on the roster of the demo. */
const MISSES: Readonly<Record<number, number>> = {
  72: 0.18,
  64: 0.12,
  55: 0.15,
  61: 0.16,
  77: 0.24,
  66: 0.3,
  78: 0.34,
  84: 0.22,
  40: 0.25,
};

/** One grade as a tired coach gives it: most did their job, some could not be told, a few are not there at all (`null`). */
export function gradeOf(
  asked: Asked,
  player: number,
  rubric: RubricRef,
  isThrow: boolean,
  random: () => number,
): Grade | null {
  if (random() < 0.015) return null;
  const done = doneGrade(rubric);
  const hard = helpOf(asked) === 'helped' ? 0.8 : helpOf(asked) === 'alone' ? 1 : 1.5;
  const luck = random();
  const miss = (MISSES[player] ?? 0.25) * hard;
  if (luck > miss) return goodGrade(done, isThrow, random);
  if (luck < miss * 0.08)
    return { ...done, assignment: 'cannot tell', technique: 'cannot tell', note: 'Behind the pile.' };
  const offered = standardOf(asked.block)?.faults ?? ['missed'];
  const fault = offered[Math.floor(offered.length * random() ** 2)]!;
  const isWrong = luck < miss * 0.3;
  const facts: FactId[] = isThrow
    ? [(['pressure', 'pressure', 'hit', 'sack'] as const)[Math.floor(random() * 4)]!]
    : [];
  const grade: Grade = isWrong
    ? { ...done, assignment: 'wrong', faults: ['wrong-man'] }
    : { ...done, technique: 'minus', faults: [fault], outcome: random() < 0.7 ? 'not' : null };
  return {
    ...grade,
    facts: random() < 0.4 ? facts : [],
    consequence: random() < 0.3 ? (['harmless', 'costly', 'fatal'] as const)[Math.floor(random() * 3)]! : null,
  };
}

function goodGrade(done: Grade, isThrow: boolean, random: () => number): Grade {
  const knocked = !isThrow && random() < 0.03;
  return { ...done, outcome: random() < 0.3 ? 'success' : null, facts: knocked ? ['knockdown'] : [] };
}

/** What a second grader says of the same block: mostly the same, harder on technique, and with other words for it. */
export function secondReading(grade: Grade, block: string, random: () => number): Grade {
  const [luck, which] = [random(), random()];
  const offered = standardOf(block)?.faults ?? ['missed'];
  const fault = offered[Math.floor(which * offered.length)]!;
  if (grade.assignment === 'wrong' && luck < 0.2) return { ...grade, assignment: 'not his fault', faults: [] };
  if (grade.assignment === 'right' && luck < 0.01) return { ...grade, assignment: 'wrong', faults: ['wrong-man'] };
  if (grade.technique === 'minus' && luck < 0.2) return { ...grade, technique: 'plus', faults: [], outcome: null };
  if (grade.technique === 'minus' && luck < 0.45) return { ...grade, faults: [fault] };
  if (grade.technique === 'plus' && luck > 0.95)
    return { ...grade, technique: 'minus', faults: [fault], outcome: null };
  return grade;
}

/** The line-up of a game with players as they are known in the database. */
export const lineupOfGame = ({ seats }: PlayedGame, idOf: (number: number) => number): Lineup => ({
  seats: seats.map(({ from, seat, player }) => ({ from, seat, playerId: idOf(player) })),
  jerseys: [],
});
