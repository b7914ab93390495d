import type { BlockWord } from '../word';

export const climb: BlockWord = {
  name: 'Climb',
  says: ['climb', 'climb to {whom:target}'],
  help: 'Go straight to the second level on the track of the play.',
  pulls: false,
  role: 'block',
  course: 'climb',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'inside-out on the linebacker',
    eyes: 'the linebacker',
    length: 'long',
    landmark: 'the ground between him and the ball',
    head: 'playside',
    hand: 'both',
    pad: 'under his at contact',
  },
  call: 'solo',
};
