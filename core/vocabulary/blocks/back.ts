import type { BlockWord } from '../word';

export const back: BlockWord = {
  name: 'Back',
  says: ['back on {whom:target}'],
  help: 'Fill back for the man who pulls.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'near number, not past his midline',
    eyes: 'the back-side gap',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'under his, not past his midline',
    byPlace: [
      { when: { wide: true }, then: { step: 'bucket', aim: 'near number, reached without crossing his midline' } },
    ],
  },
  call: 'gone',
};
