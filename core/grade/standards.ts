import type { FaultId } from '../model/faults';
import type { BlockId } from '../vocabulary/index';

/** What one block asks for, and what counts as success for that block and no other. */
export interface Standard {
  readonly doneWhen: string;
  readonly notWhen: string;
  /** Faults this block is prone to, likeliest first: the ones offered on keys. */
  readonly faults: readonly FaultId[];
}

/** The grading standard of every block of the language. */
export const STANDARDS = {
  drive: {
    doneWhen: 'He is moved off the ball and never crosses your nose.',
    notWhen: 'A stalemate: movement was asked.',
    faults: ['high-pads', 'no-movement', 'stopped-feet', 'false-step', 'hands-wide', 'wrong-head'],
  },
  base: {
    doneWhen: 'He is not past you and your shoulders are square; a stalemate on the line is success.',
    notWhen: 'Ground given, or turned.',
    faults: ['turned-shoulders', 'lunge', 'catch', 'high-pads', 'false-step', 'stopped-feet'],
  },
  fan: {
    doneWhen: 'He stays outside you all the way.',
    notWhen: 'He comes underneath.',
    faults: ['opened-early', 'lost-inside', 'overstride', 'lunge', 'hands-wide', 'turned-shoulders'],
  },
  reach: {
    doneWhen: 'Your hips are outside him, or he runs past the hole.',
    notWhen: 'He is crossed inside too late, or lost outside.',
    faults: ['no-ground', 'crossed-over', 'wrong-head', 'stopped-feet', 'lunge', 'high-pads'],
  },
  down: {
    doneWhen: 'No penetration and no back door.',
    notWhen: 'Head all the way across, or an upfield leak.',
    faults: ['wrong-head', 'no-ground', 'ran-past', 'high-pads', 'lunge', 'stopped-feet'],
  },
  back: {
    doneWhen: 'He is picked and the puller is not touched.',
    notWhen: 'Over-run: he goes out the back door.',
    faults: ['ran-past', 'wrong-head', 'late-off', 'no-ground', 'high-pads', 'lunge'],
  },
  cutoff: {
    doneWhen: 'He cannot run down the play.',
    notWhen: 'Heels clipped, or never touched.',
    faults: ['no-ground', 'too-flat', 'missed', 'stopped-feet', 'late-off', 'block-in-back'],
  },
  double: {
    doneWhen: 'The man ends in the linebacker’s lap and one comes off in time with a free arm.',
    notWhen: 'Early, late, shoulders turned, no movement.',
    faults: ['no-movement', 'left-early', 'left-late', 'turned-shoulders', 'high-pads', 'helped-wrong'],
  },
  help: {
    doneWhen: 'Your partner can take over and the linebacker is reached.',
    notWhen: 'Stayed on it, or missed it.',
    faults: ['left-late', 'left-early', 'turned-shoulders', 'wrong-track', 'missed', 'helped-wrong'],
  },
  climb: {
    doneWhen: 'You are on the track, strike with hands inside, and the feet speed up on contact.',
    notWhen: 'Chased, caught him, or ran past.',
    faults: ['wrong-track', 'chased', 'ran-past', 'catch', 'missed', 'stopped-feet'],
  },
  'inside-release': {
    doneWhen: 'You are through untouched and inside-out on the linebacker.',
    notWhen: 'Held up on the line, or behind him.',
    faults: ['wrong-track', 'high-pads', 'overstride', 'ran-past', 'chased', 'missed'],
  },
  arc: {
    doneWhen: 'You are past the end clean and outside-in on the force.',
    notWhen: 'Caught by the end, or inside the force.',
    faults: ['too-flat', 'wrong-track', 'collision', 'missed', 'chased', 'lunge'],
  },
  'pull-lead': {
    doneWhen: 'The first colour inside is hit, tight off the double.',
    notWhen: 'Ran by him, or into your own man.',
    faults: ['too-deep', 'ran-past', 'collision', 'false-step', 'missed', 'stopped-feet'],
  },
  'pull-kick': {
    doneWhen: 'He is turned out with the right shoulder.',
    notWhen: 'Too flat, wrong shoulder, lost inside.',
    faults: ['wrong-shoulder', 'too-flat', 'too-deep', 'lost-inside', 'missed', 'false-step'],
  },
  'skip-pull': {
    doneWhen: 'Shoulders stay square until the edge man is met inside-out.',
    notWhen: 'Turned and ran, or met him head on.',
    faults: ['turned-shoulders', 'too-deep', 'wrong-shoulder', 'lost-inside', 'collision', 'missed'],
  },
  'pull-wrap': {
    doneWhen: 'Up inside the kick, first colour is hit.',
    notWhen: 'Around the outside, or behind the ball.',
    faults: ['too-deep', 'too-flat', 'ran-past', 'missed', 'collision', 'false-step'],
  },
  kick: {
    doneWhen: 'He is turned out from the inside.',
    notWhen: 'Met him outside, or missed him inside.',
    faults: ['wrong-shoulder', 'lunge', 'lost-inside', 'high-pads', 'missed', 'stopped-feet'],
  },
  lead: {
    doneWhen: 'You are through the hole first and your man is hit.',
    notWhen: 'In the ball’s way, or past him.',
    faults: ['ran-past', 'lunge', 'missed', 'stopped-feet', 'wrong-track', 'high-pads'],
  },
  hinge: {
    doneWhen: 'Nobody through inside.',
    notWhen: 'Hips opened before the inside was closed.',
    faults: ['opened-early', 'lost-inside', 'false-step', 'overset', 'lunge', 'hands-wide'],
  },
  scoop: {
    doneWhen: 'You are on the playside armpit of the next man in and he cannot run down the play.',
    notWhen: 'Clipped his heels, or stopped at the man outside.',
    faults: ['no-ground', 'missed', 'wrong-track', 'late-off', 'block-in-back', 'stopped-feet'],
  },
  seal: {
    doneWhen: 'Your body stays between him and the hole.',
    notWhen: 'He works over the top or underneath.',
    faults: ['wrong-head', 'no-ground', 'stopped-feet', 'lunge', 'high-pads', 'missed'],
  },
  'outside-release': {
    doneWhen: 'You are around the end untouched and outside-in on your man.',
    notWhen: 'Held up on the line, or pushed wide of him.',
    faults: ['wrong-track', 'overstride', 'high-pads', 'too-flat', 'missed', 'chased'],
  },
  triple: {
    doneWhen: 'He goes straight back with three hips together.',
    notWhen: 'Split, or a shoulder turned.',
    faults: ['no-movement', 'turned-shoulders', 'high-pads', 'left-early', 'late-off', 'helped-wrong'],
  },
  trap: {
    doneWhen: 'He is turned out, hit tight off the down block.',
    notWhen: 'Too deep, or met him head on.',
    faults: ['too-deep', 'wrong-shoulder', 'collision', 'false-step', 'missed', 'lost-inside'],
  },
  log: {
    doneWhen: 'He is pinned inside and the ball goes around you.',
    notWhen: 'Went for the kick, or lost him outside.',
    faults: ['wrong-shoulder', 'too-flat', 'too-deep', 'missed', 'stopped-feet', 'lunge'],
  },
  crack: {
    doneWhen: 'Shoulder in front of him, and he does not make the play.',
    notWhen: 'From behind, at his head, or missed.',
    faults: ['block-in-back', 'missed', 'wrong-track', 'lunge', 'high-pads', 'wrong-head'],
  },
  cut: {
    doneWhen: 'His hands go down and he does not run on.',
    notWhen: 'Dived at air, or from behind.',
    faults: ['lunge', 'missed', 'late-off', 'block-in-back', 'no-ground', 'wrong-head'],
  },
  stalk: {
    doneWhen: 'You are between him and the ball until it is past.',
    notWhen: 'Ran through and lost him.',
    faults: ['ran-past', 'lunge', 'stopped-feet', 'hold', 'missed', 'no-strike'],
  },
  man: {
    doneWhen: 'The quarterback is clean to the throw, wherever he went.',
    notWhen: 'Beaten inside, or past the set point.',
    faults: ['lost-inside', 'overset', 'no-anchor', 'hands-wide', 'lunge', 'opened-early'],
  },
  slide: {
    doneWhen: 'Nobody comes through your gap, shoulders square.',
    notWhen: 'Chased a man out of it.',
    faults: ['overset', 'turned-shoulders', 'chased', 'no-anchor', 'catch', 'helped-wrong'],
  },
  'dual-read': {
    doneWhen: 'The inner man is taken first, the outer when the inner drops.',
    notWhen: 'Set to the outer while the inner came.',
    faults: ['wrong-man', 'overset', 'opened-early', 'lost-inside', 'false-step', 'no-strike'],
  },
  'check-release': {
    doneWhen: 'His man is blocked if he comes, and the route is run if he drops.',
    notWhen: 'Out before he looked.',
    faults: ['wrong-man', 'missed', 'no-strike', 'lunge', 'late-off', 'stopped-feet'],
  },
  scan: {
    doneWhen: 'You looked inside first and hit whoever came before he was past you.',
    notWhen: 'Took the second man while the first ran by, or was out in the route while one came.',
    faults: ['wrong-man', 'no-strike', 'lunge', 'stopped-feet', 'high-pads', 'missed'],
  },
  'pass-double': {
    doneWhen: 'He is stopped between the two of you and the next gap was seen.',
    notWhen: 'He split you, or a man came free while both watched him.',
    faults: ['turned-shoulders', 'helped-wrong', 'left-early', 'overset', 'no-anchor', 'hands-wide'],
  },
  chip: {
    doneWhen: 'One blow on the near shoulder, and out.',
    notWhen: 'Knocked him off his partner, or never touched him.',
    faults: ['missed', 'helped-wrong', 'collision', 'left-late', 'lunge', 'no-strike'],
  },
  read: { doneWhen: 'Nobody touches him.', notWhen: 'Somebody blocks him.', faults: ['wrong-man'] },
  leave: { doneWhen: 'Nobody touches him.', notWhen: 'Somebody blocks him.', faults: ['wrong-man'] },
} as const satisfies Record<BlockId, Standard>;

export const standardOf = (block: string): Standard | null => (STANDARDS as Record<string, Standard>)[block] ?? null;
