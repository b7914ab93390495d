import type { PracticeWays } from '#core/model/practice';
import type { CallSituation } from '#core/model/call-situations';
import type { PlannedLook, PlannedPlay, WeekPlan } from '#core/model/week-plan';
import { saySeen } from '#core/plan/say-seen';
import { demoCall, type DemoFormation, type DemoFront } from './calls';
import { SCOUTED_GAME, SCOUTED_SNAPS } from './scouted';
import { PLAYED_GAMES, snapsOfGame } from './season';

/** The game the Lanterns get ready for: the return match against the Terns. */
export const NEXT_GAME = { opponent: 'Quillport Terns', week: 6 } as const;

/** Backups, men who play both ways and new ones: bodies at practice, hardly any of them with a grade. */
export const MORE_MEN = [
  { name: 'Wulf Garrick', number: 71, seats: ['LT', 'RT'], defence: 'DE' },
  { name: 'Ned Thorne', number: 63, seats: ['LG', 'RG'], defence: '' },
  { name: 'Silas Quarry', number: 58, seats: ['C', 'LG'], defence: '' },
  { name: 'Bede Hollin', number: 74, seats: ['RT', 'RG'], defence: 'DT' },
  { name: 'Rafe Anstey', number: 67, seats: ['RG', 'C'], defence: '' },
  { name: 'Colm Darrow', number: 86, seats: ['Y', 'H'], defence: '' },
  { name: 'Ewan Pike', number: 70, seats: ['LT'], defence: 'NT' },
  { name: 'Ivo Marsh', number: 69, seats: ['LG'], defence: '' },
] as const;

/** What men weigh, pounds, by their numbers; nobody has put Sloe and Pike on the scales. */
export const WEIGHTS: Readonly<Record<number, number>> = {
  ...{ 72: 268, 64: 281, 55: 262, 61: 290, 77: 301, 84: 235, 40: 228, 66: 274 },
  ...{ 71: 259, 63: 270, 58: 248, 74: 312, 67: 266, 86: 231, 69: 255 },
};

const play = (
  scheme: string,
  side: 'left' | 'right',
  formation: DemoFormation,
  times: number,
  when: CallSituation[] = [],
): PlannedPlay => {
  const { formation: text, formationName } = demoCall(scheme, side, formation, 'Over');
  return { scheme, side, tags: [], formation: text, formationName, times, when };
};
/** What the Terns showed in the first match, counted; what is only expected of them has a weight by feel. */
const firstMatch = PLAYED_GAMES.find((g) => g.opponent === NEXT_GAME.opponent)!;
const shown = snapsOfGame(firstMatch).filter((s) => !s.notCounted);
/** In how many snaps of a game they showed a front. */
const timesIn = (snaps: readonly { call: { frontName: string } }[], front: DemoFront): number =>
  snaps.filter((s) => s.call.frontName === front).length;
const look = (front: DemoFront, expected?: number): PlannedLook => {
  const { front: text, frontName } = demoCall('power', 'right', 'Five-man', front);
  const [then, since] = [timesIn(shown, front), timesIn(SCOUTED_SNAPS, front)];
  const weeks = [then > 0 ? firstMatch.week : 0, since > 0 ? SCOUTED_GAME.week : 0].filter(Boolean);
  const seen = weeks.length > 0 ? saySeen({ snaps: then + since, weeks }) : '';
  return { front: text, frontName, weight: expected ?? then + since, seen };
};

export const DEMO_PLAN: WeekPlan = {
  quiz: true,
  plays: [
    play('inside-zone-z1', 'right', 'Five-man', 9, ['first', 'second long']),
    play('inside-zone-z2', 'right', 'Tight end right', 6, ['first']),
    play('power', 'right', 'H right', 7, ['first', 'short', 'red zone']),
    play('power', 'left', 'H left', 4, ['short']),
    play('counter-gt', 'right', 'Tight end right', 5, ['second long', 'red zone']),
    play('duo', 'right', 'Tight end right', 4, ['short', 'goal line', 'backed']),
    play('outside-zone', 'left', 'Tight end right', 3),
    play('buck-sweep', 'right', 'Tight end right', 2),
    play('pro-half-slide', 'right', 'One back behind', 12, ['second long', 'third long', 'two minutes']),
    play('pro-five-back', 'right', 'One back behind', 8, ['third long', 'two minutes']),
  ],
  looks: [
    look('Over'),
    look('Under'),
    look('Odd'),
    look('Over, tackle slants in', 8),
    look('Over, end loops', 6),
    look('Bear', 5),
  ],
  answers: [
    { sign: 'cover both guards', seen: 'twice', scheme: 'duo', side: 'right', tags: [] },
    { sign: 'slant the tackle to our call', seen: '', scheme: 'counter-gt', side: 'right', tags: [] },
  ],
  theirs: [
    { id: 'T', number: 92, note: 'slants in on second down' },
    { id: 'N', number: 70, note: 'leans on the guard he covers' },
    { id: 'RE', number: 48, note: '' },
    { id: 'M', number: 33, note: 'steps back first' },
  ],
};

/** As the Nine Bridges League's safety page has it and the staff agreed on; made up like everything here. */
export const DEMO_PRACTICE: Partial<PracticeWays> = { contactADay: 12, contactAWeek: 20, restEvery: 20, restFor: 3 };

/** The days before a game, counted back from it: what each leans to. The last one is not planned yet. */
export const DEMO_DAYS = [
  { before: 4, theme: 'movement', minutes: 30, gear: 'shoulder pads', begins: '18:45' },
  { before: 2, theme: 'protection', minutes: 30, gear: 'shoulder pads', begins: '18:45' },
  { before: 1, theme: 'light', minutes: 15, gear: 'helmets', begins: '19:00' },
] as const;

/** Weeks of the season that were practised, and how many weeks they lie before the next game. */
export const PRACTISED_WEEKS = [
  { week: 3, before: 3 },
  { week: 4, before: 2 },
  { week: 5, before: 1 },
] as const;

/** What came of the first reps of the script before it got dark. */
export const DEMO_REPS = [
  { rep: 0, good: true, missed: [] },
  { rep: 1, good: false, missed: ['RT'] },
  { rep: 2, good: true, missed: [] },
  { rep: 3, good: true, missed: [] },
  { rep: 4, good: false, missed: ['C', 'LG'] },
  { rep: 5, good: true, missed: [] },
] as const;
