import type { BlockSheet } from './sheet';

/** Blocks for a throw. */
export const PASS_BLOCKS = {
  man: {
    doneWhen: 'The quarterback is clean to the throw, wherever he went.',
    notWhen: 'Beaten inside, or past the set point.',
    faults: ['lost-inside', 'overset', 'no-anchor', 'hands-wide', 'lunge', 'opened-early'],
    phases: {
      start: 'Set to the point that lets you meet him inside half.',
      fit: 'Inside hand first, then the other: never both lost at once.',
      drive: 'Feet keep kicking, hips under, he is squared up.',
      'hand-over': 'Eyes see the twist; pass him and take the next.',
      finish: 'Re-anchors when he bulls; the quarterback is clean to the throw.',
    },
  },
  slide: {
    doneWhen: 'Nobody comes through your gap, shoulders square.',
    notWhen: 'Chased a man out of it.',
    faults: ['overset', 'turned-shoulders', 'chased', 'no-anchor', 'catch', 'helped-wrong'],
    phases: {
      start: 'Slide step to your gap, shoulders square.',
      fit: 'The gap is yours whoever comes into it.',
      drive: 'Shut it with hips and hands, no chase.',
      'hand-over': 'A man leaving your gap is passed to the next.',
      finish: 'Nobody came through your gap.',
    },
  },
  'dual-read': {
    doneWhen: 'The inner man is taken first, the outer when the inner drops.',
    notWhen: 'Set to the outer while the inner came.',
    faults: ['wrong-man', 'overset', 'opened-early', 'lost-inside', 'false-step', 'no-strike'],
    phases: {
      start: 'Set to the inner man’s height, eyes on him.',
      fit: 'Inner man is struck first if he comes.',
      drive: 'When the inner one drops, hips turn out at once.',
      finish: 'Of the two, the one who came is blocked.',
    },
  },
  'check-release': {
    doneWhen: 'His man is blocked if he comes, and the route is run if he drops.',
    notWhen: 'Out before he looked.',
    faults: ['wrong-man', 'missed', 'no-strike', 'lunge', 'late-off', 'stopped-feet'],
    phases: {
      start: 'Eyes first, feet in place.',
      fit: 'If he comes: inside out, near shoulder, on your feet.',
      finish: 'If he does not come: out on the route on time.',
    },
  },
  scan: {
    doneWhen: 'You looked inside first and hit whoever came before he was past you.',
    notWhen: 'Took the second man while the first ran by, or was out in the route while one came.',
    faults: ['wrong-man', 'no-strike', 'lunge', 'stopped-feet', 'high-pads', 'missed'],
    phases: {
      start: 'Up into the line of sight, eyes inside to out.',
      fit: 'The first who comes is struck at the line, not at the passer.',
      drive: 'Feet under you, shoulder square to him.',
      finish: 'Nobody you looked at touched the quarterback.',
    },
  },
} as const satisfies Record<string, BlockSheet>;
