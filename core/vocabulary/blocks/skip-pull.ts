import type { BlockWord } from '../word';

export const skipPull: BlockWord = {
  name: 'Skip pull',
  says: ['skip pull and kick {whom:target}'],
  help: 'Pull with square shoulders so that the hole can be read on the way.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  technique: {
    step: 'skip',
    foot: 'playside',
    aim: 'inside-out, inside number',
    eyes: 'the edge',
    length: 'short',
    landmark: 'his inside foot',
    head: 'inside',
    hand: 'inside',
    pad: 'square to the line all the way',
  },
  call: null,
};
