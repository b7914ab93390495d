import type { BlockWord } from '../word';

export const leaveHim: BlockWord = {
  name: 'Leave',
  says: ['leave {whom:target}'],
  help: 'Nobody blocks him, by design.',
  pulls: false,
  role: 'leave',
  course: 'none',
  technique: {
    step: 'none',
    foot: 'near',
    aim: 'none',
    eyes: 'none',
    length: 'none',
    landmark: 'none',
    head: 'square',
    hand: 'none',
    pad: 'none',
  },
  call: null,
};
