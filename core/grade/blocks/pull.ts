import type { BlockSheet } from './sheet';

/** Blocks of men who leave their place, and of backs who lead. */
export const PULLS = {
  'pull-lead': {
    doneWhen: 'The first colour inside is hit, tight off the double.',
    notWhen: 'Ran by him, or into your own man.',
    faults: ['too-deep', 'ran-past', 'collision', 'false-step', 'missed', 'stopped-feet'],
    phases: {
      start: 'Open out of the stance without tipping it; first step gains depth only as told.',
      fit: 'First colour inside, near shoulder.',
      drive: 'Tight off the double, shoulders turn up as the hole comes.',
      finish: 'You are on somebody when the ball goes by.',
    },
  },
  'pull-kick': {
    doneWhen: 'He is turned out with the right shoulder.',
    notWhen: 'Too flat, wrong shoulder, lost inside.',
    faults: ['wrong-shoulder', 'too-flat', 'too-deep', 'lost-inside', 'missed', 'false-step'],
    phases: {
      start: 'Flat behind the centre, then uphill.',
      fit: 'Inside shoulder on him, hat on the hole’s side.',
      drive: 'Inside-out path: you come from the ball to him.',
      finish: 'He is turned out and does not fall back in.',
    },
  },
  'skip-pull': {
    doneWhen: 'Shoulders stay square until the edge man is met inside-out.',
    notWhen: 'Turned and ran, or met him head on.',
    faults: ['turned-shoulders', 'too-deep', 'wrong-shoulder', 'lost-inside', 'collision', 'missed'],
    phases: {
      start: 'Skip with square shoulders, no crossover yet.',
      fit: 'Inside-out at the edge, near shoulder.',
      drive: 'Eyes inside on the linebackers while you travel.',
      finish: 'The corner is yours, square to the line.',
    },
  },
  'pull-wrap': {
    doneWhen: 'Up inside the kick, first colour is hit.',
    notWhen: 'Around the outside, or behind the ball.',
    faults: ['too-deep', 'too-flat', 'ran-past', 'missed', 'collision', 'false-step'],
    phases: {
      start: 'Open, then flat: your pace is the ball’s.',
      fit: 'First colour from inside to out.',
      drive: 'Up inside the kick, not around it.',
      finish: 'The lane has a front wall.',
    },
  },
  kick: {
    doneWhen: 'He is turned out from the inside.',
    notWhen: 'Met him outside, or missed him inside.',
    faults: ['wrong-shoulder', 'lunge', 'lost-inside', 'high-pads', 'missed', 'stopped-feet'],
    phases: {
      start: 'At him at once; the angle is from the inside.',
      fit: 'Inside shoulder, hat toward the hole.',
      drive: 'Run through him; he goes toward the sideline.',
      finish: 'The hole has an edge at the ball’s depth.',
    },
  },
  lead: {
    doneWhen: 'You are through the hole first and your man is hit.',
    notWhen: 'In the ball’s way, or past him.',
    faults: ['ran-past', 'lunge', 'missed', 'stopped-feet', 'wrong-track', 'high-pads'],
    phases: {
      start: 'First through, no waiting for the ball.',
      fit: 'Shoulder and hands on the side the runner needs.',
      drive: 'Hat where the ball will be, eyes on your man.',
      finish: 'Your man is blocked either way and the ball reads you.',
    },
  },
  trap: {
    doneWhen: 'He is turned out, hit tight off the down block.',
    notWhen: 'Too deep, or met him head on.',
    faults: ['too-deep', 'wrong-shoulder', 'collision', 'false-step', 'missed', 'lost-inside'],
    phases: {
      start: 'Short first pull into the line, no depth.',
      fit: 'Near shoulder through him, hat upfield of him.',
      drive: 'Tight to the down block’s hip, inside-out.',
      finish: 'He is turned out where he stood.',
    },
  },
  log: {
    doneWhen: 'He is pinned inside and the ball goes around you.',
    notWhen: 'Went for the kick, or lost him outside.',
    faults: ['wrong-shoulder', 'too-flat', 'too-deep', 'missed', 'stopped-feet', 'lunge'],
    phases: {
      start: 'As for the kick, until he comes inside.',
      fit: 'Outside shoulder to his, wheel him in.',
      drive: 'See him squeeze and go around.',
      finish: 'He is pinned and the ball is outside you.',
    },
  },
} as const satisfies Record<string, BlockSheet>;
