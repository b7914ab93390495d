import type { BlockWord } from '../word';

export const manBlock: BlockWord = {
  name: 'Man',
  says: ['man {whom:target}'],
  help: 'Set on him and keep him wherever he goes.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  technique: {
    step: 'kick',
    foot: 'near',
    aim: 'inside half, set point',
    eyes: 'his inside number',
    length: 'short',
    landmark: 'the set point',
    head: 'inside',
    hand: 'both',
    pad: 'square, weight on the insteps',
    byPlace: [
      { when: { wide: true }, then: { step: 'kick', length: 'long' } },
      { when: { shade: 'inside' }, then: { step: 'post', length: 'short', foot: 'inside' } },
      { when: { shade: 'head-up' }, then: { step: 'in place', length: 'none' } },
    ],
  },
  call: null,
};
