import type { BlockWord } from '../word';

export const base: BlockWord = {
  name: 'Base',
  says: ['base {whom:target}'],
  help: 'Square him up and hold him where he is; a stalemate on the line is success.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'midline, square',
    eyes: 'the man in front',
    length: 'short',
    landmark: 'between his feet',
    head: 'by school',
    hand: 'both',
    pad: 'under his',
    byPlace: [{ when: { wide: true }, then: { step: 'lateral', length: 'long', landmark: 'his inside foot' } }],
  },
  call: null,
};
