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
  },
  call: 'pair',
};
