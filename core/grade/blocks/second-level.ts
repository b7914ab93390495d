import type { BlockSheet } from './sheet';

/** Blocks on linebackers and the secondary, and the ways there. */
export const SECOND_LEVEL_BLOCKS = {
  climb: {
    doneWhen: 'You are on the track, strike with hands inside, and the feet speed up on contact.',
    notWhen: 'Chased, caught him, or ran past.',
    faults: ['wrong-track', 'chased', 'ran-past', 'catch', 'missed', 'stopped-feet'],
    phases: {
      start: 'Clean past the first level, no chase.',
      fit: 'Inside-out on him, hands inside when he is a yard away.',
      drive: 'On the track: where he will be, not where he is.',
      finish: 'Feet speed up on contact; he does not fall back into it.',
    },
  },
  'inside-release': {
    doneWhen: 'You are through untouched and inside-out on the linebacker.',
    notWhen: 'Held up on the line, or behind him.',
    faults: ['wrong-track', 'high-pads', 'overstride', 'ran-past', 'chased', 'missed'],
    phases: {
      start: 'Under the man over you, near shoulder down, no hands on you.',
      fit: 'Inside-out on the linebacker.',
      drive: 'Straight up the track at full speed.',
      finish: 'He is blocked before he can fill.',
    },
  },
  'outside-release': {
    doneWhen: 'You are around the end untouched and outside-in on your man.',
    notWhen: 'Held up on the line, or pushed wide of him.',
    faults: ['wrong-track', 'overstride', 'high-pads', 'too-flat', 'missed', 'chased'],
    phases: {
      start: 'Around the end with the far foot, arms clear of him.',
      fit: 'Outside-in on your man.',
      drive: 'No wider than you must; turn up at once.',
      finish: 'He does not get outside you.',
    },
  },
  arc: {
    doneWhen: 'You are past the end clean and outside-in on the force.',
    notWhen: 'Caught by the end, or inside the force.',
    faults: ['too-flat', 'wrong-track', 'collision', 'missed', 'chased', 'lunge'],
    phases: {
      start: 'Past the end without contact, depth before width.',
      fit: 'Outside-in on the force, near number.',
      drive: 'Keep leverage: he may go in, not out.',
      finish: 'The ball is outside him.',
    },
  },
  stalk: {
    doneWhen: 'You are between him and the ball until it is past.',
    notWhen: 'Ran through and lost him.',
    faults: ['ran-past', 'lunge', 'stopped-feet', 'hold', 'missed', 'no-strike'],
    phases: {
      start: 'Run at him as if it were a route.',
      fit: 'Break down a yard off, hands inside, under control.',
      drive: 'Mirror: stay between him and the ball.',
      finish: 'He has not touched the ball carrier when the ball is past.',
    },
  },
  crack: {
    doneWhen: 'Shoulder in front of him, and he does not make the play.',
    notWhen: 'From behind, at his head, or missed.',
    faults: ['block-in-back', 'missed', 'wrong-track', 'lunge', 'high-pads', 'wrong-head'],
    phases: {
      start: 'Flat down the line, eyes on the first man inside.',
      fit: 'Shoulder in front of him and above the waist, never from behind.',
      finish: 'He makes no tackle, and nobody was hit blindly or high.',
    },
  },
} as const satisfies Record<string, BlockSheet>;
