import type { BlockWord } from '../word';

export const cutoff: BlockWord = {
  name: 'Cut off',
  says: ['cut off {whom:target}'],
  help: 'Get between him and the ball: he may not run down the play.',
  pulls: false,
  role: 'block',
  course: 'flat-then-up',
  technique: {
    step: 'bucket',
    foot: 'playside',
    aim: 'playside armpit',
    eyes: 'the next man in',
    length: 'short',
    landmark: 'in front of his playside foot',
    head: 'playside',
    hand: 'far',
    pad: 'flat, then under his',
    byPlace: [{ when: { shade: 'inside', wide: true }, then: { step: 'open', length: 'long' } }],
  },
  call: null,
};
