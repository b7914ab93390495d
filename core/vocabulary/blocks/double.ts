import type { BlockWord } from '../word';

export const doubleTeam: BlockWord = {
  name: 'Double',
  says: ['double {whom:target} with {partner:man}'],
  help: 'Two men move one man into the linebacker’s lap; one comes off.',
  pulls: false,
  role: 'pair',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'near shoulder, hips together',
    eyes: 'the linebacker, through the man',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'level with the partner’s hip',
    byPlace: [
      {
        when: { role: 'inner' },
        then: {
          step: 'in place',
          length: 'none',
          landmark: 'under his near foot',
          aim: 'near armpit, from under',
          hand: 'both',
          pad: 'under his: stop him and raise him',
        },
      },
      {
        when: { role: 'outer' },
        then: {
          step: 'lead',
          landmark: 'his near foot, driving off the near foot',
          aim: 'near hip and ribs',
          hand: 'near',
          pad: 'level with the partner’s hip: move him',
        },
      },
      {
        when: { role: 'inner', track: 'zone' },
        then: {
          step: 'lead',
          length: 'short',
          aim: 'near shoulder, hips together',
          pad: 'level with the partner’s hip',
        },
      },
      {
        when: { role: 'alone' },
        then: { landmark: 'between his feet', aim: 'midline, square', hand: 'both', pad: 'under his' },
      },
    ],
  },
  call: 'pair',
};
