import type { BlockWord } from '../word';

export const slide: BlockWord = {
  name: 'Slide',
  says: ['slide to {gap:gap}', 'slide to {gap:gap} on {whom:target}'],
  help: 'Set to a gap, not to a man: whoever comes into it is his.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  slides: true,
  technique: {
    step: 'slide',
    foot: 'near',
    aim: 'the gap, shoulders square',
    eyes: 'the gap, then the next one',
    length: 'short',
    landmark: 'the gap',
    head: 'square',
    hand: 'both',
    pad: 'square to the line',
  },
  call: null,
};
