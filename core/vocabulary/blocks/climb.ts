import type { BlockWord } from '../word';

export const climb: BlockWord = {
  name: 'Climb',
  says: ['climb', 'climb to {whom:target}'],
  help: 'Go straight to the second level on the track of the play.',
  pulls: false,
  role: 'block',
  course: 'climb',
  technique: { step: 'lead', foot: 'near', aim: 'inside-out on the linebacker', eyes: 'the linebacker' },
  call: 'solo',
};
