import type { BlockWord } from '../word';

export const cut: BlockWord = {
  name: 'Cut',
  says: ['cut {whom:target}'],
  help: 'Take his playside thigh away so that he puts his hands down. Legal at some levels only.',
  pulls: false,
  role: 'block',
  course: 'straight',
  care: 'low',
  technique: {
    step: 'bucket',
    foot: 'playside',
    aim: 'playside thigh',
    eyes: 'the playside thigh',
    length: 'short',
    landmark: 'outside his playside foot',
    head: 'playside',
    hand: 'none',
    pad: 'rising through his thigh',
  },
  call: null,
};
