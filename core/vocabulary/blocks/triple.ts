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
  },
  call: 'pair',
};
