import type { BlockWord } from '../word';

export const arc: BlockWord = {
  name: 'Arc',
  says: ['arc to {whom:target}'],
  help: 'Release outside around the end to the man who turns the play in.',
  pulls: false,
  role: 'block',
  course: 'behind-the-line',
  technique: {
    step: 'open',
    foot: 'far',
    aim: 'outside number',
    eyes: 'the force',
    length: 'long',
    landmark: 'past the end’s outside foot',
    head: 'outside',
    hand: 'inside',
    pad: 'square to the force at contact',
  },
  call: null,
};
