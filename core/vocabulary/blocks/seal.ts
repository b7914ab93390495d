import type { BlockWord } from '../word';

export const seal: BlockWord = {
  name: 'Seal',
  says: ['seal {whom:target}'],
  help: 'Get the body between him and the hole and keep it there.',
  pulls: false,
  role: 'block',
  course: 'flat-then-up',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'outside number, body in the hole',
    eyes: 'his outside hip',
    length: 'short',
    landmark: 'between him and the hole',
    head: 'near',
    hand: 'near',
    pad: 'square to him',
  },
  call: null,
};
