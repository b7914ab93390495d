import type { BlockSheet } from './sheet';

/** Blocks of one man on the line of scrimmage. */
export const LINE_BLOCKS = {
  drive: {
    doneWhen: 'He is moved off the ball and never crosses your nose.',
    notWhen: 'A stalemate: movement was asked.',
    faults: ['high-pads', 'no-movement', 'stopped-feet', 'false-step', 'hands-wide', 'wrong-head'],
    phases: {
      start: 'Off with the ball, play-side foot first, six inches that gain ground.',
      fit: 'Near number, hands inside and under his pads, hat on the play side.',
      drive: 'Feet speed up on contact; he goes back, not sideways.',
      finish: 'He is still going back when the whistle blows.',
    },
  },
  base: {
    doneWhen: 'He is not past you and your shoulders are square; a stalemate on the line is success.',
    notWhen: 'Ground given, or turned.',
    faults: ['turned-shoulders', 'lunge', 'catch', 'high-pads', 'false-step', 'stopped-feet'],
    phases: {
      start: 'First foot down before he touches you, weight on the insteps.',
      fit: 'Square on the midline, hands inside, eyes under his.',
      drive: 'Shoulders square to the line, feet under you, he is not past you.',
      finish: 'You are still between him and the ball at the whistle.',
    },
  },
  fan: {
    doneWhen: 'He stays outside you all the way.',
    notWhen: 'He comes underneath.',
    faults: ['opened-early', 'lost-inside', 'overstride', 'lunge', 'hands-wide', 'turned-shoulders'],
    phases: {
      start: 'Post on the inside foot before the hips open.',
      fit: 'Inside hand to his near pad, hat inside.',
      drive: 'Run him past, your hips stay inside his.',
      finish: 'He ends wider and deeper than the ball.',
    },
  },
  reach: {
    doneWhen: 'Your hips are outside him, or he runs past the hole.',
    notWhen: 'He is crossed inside too late, or lost outside.',
    faults: ['no-ground', 'crossed-over', 'wrong-head', 'stopped-feet', 'lunge', 'high-pads'],
    phases: {
      start: 'Open step to the play side that gains width, second foot fast.',
      fit: 'Play-side number, far hand to the armpit.',
      drive: 'Work the hips around until they are outside his, or keep running him.',
      finish: 'The ball turns up where you left the lane.',
    },
  },
  down: {
    doneWhen: 'No penetration and no back door.',
    notWhen: 'Head all the way across, or an upfield leak.',
    faults: ['wrong-head', 'no-ground', 'ran-past', 'high-pads', 'lunge', 'stopped-feet'],
    phases: {
      start: 'Inside foot first, flat enough to stop his penetration.',
      fit: 'Near number, hat in front, pads under his.',
      drive: 'Shut the gap first, then wash him down the line.',
      finish: 'No back door: your tail stays toward the hole.',
    },
  },
  back: {
    doneWhen: 'He is picked and the puller is not touched.',
    notWhen: 'Over-run: he goes out the back door.',
    faults: ['ran-past', 'wrong-head', 'late-off', 'no-ground', 'high-pads', 'lunge'],
    phases: {
      start: 'Inside foot flat down the line, at once with the puller.',
      fit: 'Near number, hat does not cross his midline.',
      drive: 'Wall him on the line of scrimmage where the puller left.',
      finish: 'He has neither the puller’s hip nor the back door.',
    },
  },
  cutoff: {
    doneWhen: 'He cannot run down the play.',
    notWhen: 'Heels clipped, or never touched.',
    faults: ['no-ground', 'too-flat', 'missed', 'stopped-feet', 'late-off', 'block-in-back'],
    phases: {
      start: 'Bucket step inside, hips lower than his.',
      fit: 'Far armpit with the inside arm through.',
      drive: 'Run flat until your hips have passed his, then square up.',
      finish: 'He is cut off behind the ball, on his feet or on the ground.',
    },
  },
  hinge: {
    doneWhen: 'Nobody through inside.',
    notWhen: 'Hips opened before the inside was closed.',
    faults: ['opened-early', 'lost-inside', 'false-step', 'overset', 'lunge', 'hands-wide'],
    phases: {
      start: 'Post step into the inside gap, no hip yet.',
      fit: 'Inside hand guards the gap; nobody through there first.',
      drive: 'Turn only when the gap is shut, then his near hip.',
      finish: 'He runs behind the ball and never into it.',
    },
  },
  scoop: {
    doneWhen: 'You are on the playside armpit of the next man in and he cannot run down the play.',
    notWhen: 'Clipped his heels, or stopped at the man outside.',
    faults: ['no-ground', 'missed', 'wrong-track', 'late-off', 'block-in-back', 'stopped-feet'],
    phases: {
      start: 'Flat bucket step past the man over you, eyes on the next.',
      fit: 'Play-side armpit of the next man in.',
      drive: 'Stay on the rail until he is overtaken.',
      finish: 'He does not run down the play from behind.',
    },
  },
  seal: {
    doneWhen: 'Your body stays between him and the hole.',
    notWhen: 'He works over the top or underneath.',
    faults: ['wrong-head', 'no-ground', 'stopped-feet', 'lunge', 'high-pads', 'missed'],
    phases: {
      start: 'Step to where he wants to go, not to where he is.',
      fit: 'Hat and body on the hole’s side of him.',
      drive: 'Keep turning your tail to the ball.',
      finish: 'He makes no play on either side of you.',
    },
  },
  cut: {
    doneWhen: 'His hands go down and he does not run on.',
    notWhen: 'Dived at air, or from behind.',
    faults: ['lunge', 'missed', 'late-off', 'block-in-back', 'no-ground', 'wrong-head'],
    phases: {
      start: 'Off as for a high block, so that he does not see it coming.',
      fit: 'Near arm and shoulder through his far thigh, from in front.',
      drive: 'Keep crabbing: his hands must stay down.',
      finish: 'He is not up again before the ball is past.',
    },
  },
  read: {
    doneWhen: 'Nobody touches him.',
    notWhen: 'Somebody blocks him.',
    faults: ['wrong-man'],
    phases: {
      start: 'Away from him as if he were blocked elsewhere; do not touch him.',
      finish: 'He was left to whoever reads him.',
    },
  },
  leave: {
    doneWhen: 'Nobody touches him.',
    notWhen: 'Somebody blocks him.',
    faults: ['wrong-man'],
    phases: {
      start: 'Past him without a hand on him.',
      finish: 'He was left alone, as the play wants.',
    },
  },
} as const satisfies Record<string, BlockSheet>;
