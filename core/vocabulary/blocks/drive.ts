import type { BlockWord } from '../word';

export const drive: BlockWord = {
  name: 'Drive',
  says: ['drive {whom:target}'],
  help: 'Take him off the ball: half a man, near number, and move him.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'playside',
    aim: 'near number',
    eyes: 'the man in front',
    length: 'short',
    landmark: 'his near foot',
    head: 'by school',
    hand: 'near',
    pad: 'under his',
    byPlace: [
      { when: { shade: 'head-up' }, then: { landmark: 'between his feet', hand: 'both' } },
      { when: { wide: true }, then: { step: 'bucket', aim: 'playside number' } },
    ],
  },
  call: null,
};
