import type { BlockWord } from '../word';

export const passDouble: BlockWord = {
  name: 'Set and double',
  says: ['set on {whom:target} with {partner:man}'],
  help: 'Two men set on one rusher; the one without him keeps his eyes on the next gap.',
  pulls: false,
  role: 'pair',
  course: 'retreat',
  technique: {
    step: 'post',
    foot: 'near',
    aim: 'near half, hip to hip',
    eyes: 'the rusher, then the next gap',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'hip to hip with the partner',
  },
  call: 'pair',
};
