import type { BlockWord } from '../word';

export const drive: BlockWord = {
  name: 'Drive',
  says: ['drive {whom:target}'],
  help: 'Take him off the ball: half a man, near number, and move him.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: { step: 'lead', foot: 'playside', aim: 'near number', eyes: 'the man in front' },
  call: null,
};
