import type { BlockWord } from '../word';

export const kick: BlockWord = {
  name: 'Kick',
  says: ['kick {whom:target}'],
  help: 'Off the ball and across: inside-out, turn him out.',
  pulls: false,
  role: 'block',
  course: 'straight',
  runsToHim: true,
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'inside number',
    eyes: 'the end man',
    length: 'long',
    landmark: 'his inside foot',
    head: 'inside',
    hand: 'inside',
    pad: 'under his, from inside out',
  },
  call: null,
};
