import type { BlockWord } from '../word';

export const reach: BlockWord = {
  name: 'Reach',
  says: ['reach {whom:target}'],
  help: 'Get the hips outside him, or run him past the hole.',
  pulls: false,
  role: 'block',
  course: 'flat-then-up',
  technique: {
    step: 'bucket',
    foot: 'playside',
    aim: 'playside number',
    eyes: 'the playside number',
    length: 'short',
    landmark: 'outside his playside foot',
    head: 'playside',
    hand: 'far',
    pad: 'flat, then under his',
    byPlace: [
      { when: { shade: 'inside' }, then: { step: 'lead', landmark: 'his playside foot' } },
      { when: { wide: true, shade: 'outside' }, then: { step: 'bucket', length: 'long' } },
    ],
  },
  call: null,
};
