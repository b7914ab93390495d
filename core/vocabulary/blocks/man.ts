import type { BlockWord } from '../word';

export const manBlock: BlockWord = {
  name: 'Man',
  says: ['man {whom:target}'],
  help: 'Set on him and keep him wherever he goes.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  technique: { step: 'kick', foot: 'near', aim: 'inside half, set point', eyes: 'his inside number' },
  call: null,
};
