import type { BlockWord } from '../word';

export const stalk: BlockWord = {
  name: 'Stalk',
  says: ['stalk {whom:target}'],
  help: 'Close, break down, mirror him: stay between him and the ball.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'midline at arm’s length',
    eyes: 'his belt',
    length: 'long',
    landmark: 'an arm’s length before him',
    head: 'square',
    hand: 'both',
    pad: 'under his, feet under the hips',
  },
  call: null,
};
