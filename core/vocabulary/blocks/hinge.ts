import type { BlockWord } from '../word';

export const hinge: BlockWord = {
  name: 'Hinge',
  says: ['hinge on {whom:target}', 'hinge'],
  help: 'Close the inside gap first, then turn on the man outside.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  technique: {
    step: 'post',
    foot: 'inside',
    aim: 'inside gap, then his hip',
    eyes: 'inside gap first',
    length: 'short',
    landmark: 'the inside gap',
    head: 'inside',
    hand: 'inside',
    pad: 'square to the line until the gap is closed',
  },
  call: null,
};
