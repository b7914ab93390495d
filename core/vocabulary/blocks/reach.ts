import type { BlockWord } from '../word';

export const reach: BlockWord = {
  name: 'Reach',
  says: ['reach {whom:target}'],
  help: 'Get the hips outside him, or run him past the hole.',
  pulls: false,
  role: 'block',
  course: 'flat-then-up',
  technique: { step: 'bucket', foot: 'playside', aim: 'playside number', eyes: 'the playside number' },
  call: null,
};
