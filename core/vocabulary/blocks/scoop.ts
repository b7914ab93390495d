import type { BlockWord } from '../word';

export const scoop: BlockWord = {
  name: 'Scoop',
  says: ['scoop {whom:target}'],
  help: 'Flat past the man outside, playside armpit of the next man in: he may not run down the play.',
  pulls: false,
  role: 'block',
  course: 'flat-then-up',
  technique: {
    step: 'bucket',
    foot: 'playside',
    aim: 'playside armpit of the next man in',
    eyes: 'the next man in',
    length: 'long',
    landmark: 'past the man outside, in front of the next man’s playside foot',
    head: 'playside',
    hand: 'far',
    pad: 'flat, then under his',
  },
  call: null,
};
