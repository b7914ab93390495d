import type { BlockWord } from '../word';

export const hinge: BlockWord = {
  name: 'Hinge',
  says: ['hinge on {whom:target}', 'hinge'],
  help: 'Close the inside gap first, then turn on the man outside.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  technique: { step: 'post', foot: 'inside', aim: 'inside gap, then his hip', eyes: 'inside gap first' },
  call: null,
};
