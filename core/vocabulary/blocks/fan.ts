import type { BlockWord } from '../word';

export const fan: BlockWord = {
  name: 'Fan',
  says: ['fan {whom:target}'],
  help: 'Step out on the man outside and keep him outside.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: {
    step: 'kick',
    foot: 'near',
    aim: 'outside number',
    eyes: 'the man outside',
    length: 'short',
    landmark: 'his outside foot',
    head: 'by school',
    hand: 'far',
    pad: 'under his, square',
  },
  call: null,
};
