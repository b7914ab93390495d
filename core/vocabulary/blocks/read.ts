import type { BlockWord } from '../word';

export const readHim: BlockWord = {
  name: 'Read',
  says: ['read {whom:target}'],
  help: 'Nobody blocks him: the quarterback reads him.',
  pulls: false,
  role: 'read',
  course: 'none',
  technique: {
    step: 'none',
    foot: 'near',
    aim: 'none',
    eyes: 'the read man',
    length: 'none',
    landmark: 'none',
    head: 'square',
    hand: 'none',
    pad: 'none',
  },
  call: null,
};
