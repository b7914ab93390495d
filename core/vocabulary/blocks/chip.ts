import type { BlockWord } from '../word';

export const chip: BlockWord = {
  name: 'Chip',
  says: ['chip {whom:target}'],
  help: 'One blow on the way out, on the side his partner does not have.',
  pulls: false,
  role: 'touch',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'near shoulder',
    eyes: 'the rusher’s near shoulder',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'level with his',
  },
  call: null,
};
