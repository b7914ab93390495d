import type { BlockWord } from '../word';

export const down: BlockWord = {
  name: 'Down',
  says: ['down on {whom:target}'],
  help: 'Block inside with pressure toward the ball: no penetration, no back door.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: {
    step: 'lateral',
    foot: 'inside',
    aim: 'near number, stop penetration first',
    eyes: 'the inside gap',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'under his, pressure toward the ball',
    byPlace: [
      {
        when: { shade: 'inside', wide: true },
        then: { step: 'lateral', length: 'long', landmark: 'in front of his near foot' },
      },
      {
        when: { end: true, ball: 'outside' },
        then: {
          head: 'across',
          aim: 'far number, stop penetration first',
          hand: 'far',
          pad: 'across him: he may not come over the top',
        },
      },
      {
        when: { end: true, ball: 'inside' },
        then: {
          head: 'near',
          aim: 'near number, stop penetration first',
          hand: 'near',
          pad: 'under his: he may not come through or behind',
        },
      },
    ],
  },
  call: null,
};
