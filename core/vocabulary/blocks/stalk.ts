import type { BlockWord } from '../word';

export const stalk: BlockWord = {
  name: 'Stalk',
  says: ['stalk {whom:target}'],
  help: 'Close, break down, mirror him: stay between him and the ball.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: { step: 'lead', foot: 'near', aim: 'midline at arm’s length', eyes: 'his belt' },
  call: null,
};
