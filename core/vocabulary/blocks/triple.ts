import type { BlockWord } from '../word';

export const triple: BlockWord = {
  name: 'Triple',
  says: ['triple {whom:target} with {partner:man} and {other:man}'],
  help: 'Three men move one man straight back.',
  pulls: false,
  role: 'pair',
  course: 'straight',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'near shoulder, three hips together',
    eyes: 'the linebacker, through the man',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'three hips together',
    byPlace: [
      {
        when: { role: 'third' },
        then: {
          step: 'in place',
          length: 'none',
          landmark: 'between his feet',
          aim: 'midline, from under',
          hand: 'both',
          pad: 'under his: stop him and raise him',
        },
      },
    ],
  },
  call: 'pair',
};
