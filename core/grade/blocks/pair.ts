import type { BlockSheet } from './sheet';

/** Blocks of two or three men on one. */
export const PAIR_BLOCKS = {
  double: {
    doneWhen: 'The man ends in the linebacker’s lap and one comes off in time with a free arm.',
    notWhen: 'Early, late, shoulders turned, no movement.',
    faults: ['no-movement', 'left-early', 'left-late', 'turned-shoulders', 'high-pads', 'helped-wrong'],
    phases: {
      start: {
        inner: 'In place under his near foot: stop him first.',
        outer: 'Drive off the near foot, close the space in one step.',
      },
      fit: { inner: 'Near armpit from under, both hands.', outer: 'Near hip and ribs, hips against your partner’s.' },
      drive: 'Four hands on him, hips together, vertical: he ends in the linebacker’s lap.',
      'hand-over': {
        inner: 'Free arm ready: you go when the linebacker runs through inside.',
        outer: 'Stay until your partner has him whole; then up with the free arm.',
      },
      finish: 'One of you has him, the other has the linebacker.',
    },
  },
  help: {
    doneWhen: 'Your partner can take over and the linebacker is reached.',
    notWhen: 'Stayed on it, or missed it.',
    faults: ['left-late', 'left-early', 'turned-shoulders', 'wrong-track', 'missed', 'helped-wrong'],
    phases: {
      start: 'Aim at where you go, past the near hip of his man.',
      fit: 'One hand, the near one, on the hip; eyes up.',
      'hand-over': 'Gone as soon as your partner’s hat is across.',
      finish: 'The linebacker is touched before he is in the hole.',
    },
  },
  triple: {
    doneWhen: 'He goes straight back with three hips together.',
    notWhen: 'Split, or a shoulder turned.',
    faults: ['no-movement', 'turned-shoulders', 'high-pads', 'left-early', 'late-off', 'helped-wrong'],
    phases: {
      start: 'Three first steps at once, feet inside the partner’s.',
      fit: 'Hips touching on both sides, pads at one height.',
      drive: 'Straight back, no shoulder turns.',
      'hand-over': 'The one the linebacker shows to leaves first; two stay.',
      finish: 'He is on the linebackers’ level when one of you leaves.',
    },
  },
  'pass-double': {
    doneWhen: 'He is stopped between the two of you and the next gap was seen.',
    notWhen: 'He split you, or a man came free while both watched him.',
    faults: ['turned-shoulders', 'helped-wrong', 'left-early', 'overset', 'no-anchor', 'hands-wide'],
    phases: {
      start: 'Both set to the same height, hips nearly touching.',
      fit: 'Near hands on him, far hands free.',
      drive: 'He is between you and goes nowhere.',
      'hand-over': 'The eyes of the freer one leave for the next gap.',
      finish: 'Nobody was free because two watched one.',
    },
  },
  chip: {
    doneWhen: 'One blow on the near shoulder, and out.',
    notWhen: 'Knocked him off his partner, or never touched him.',
    faults: ['missed', 'helped-wrong', 'collision', 'left-late', 'lunge', 'no-strike'],
    phases: {
      start: 'On your own way; it must not cost the route.',
      fit: 'One blow with the near arm on his near shoulder.',
      finish: 'He was slowed, your partner was not bumped, and you are out.',
    },
  },
} as const satisfies Record<string, BlockSheet>;
