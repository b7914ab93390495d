import type { BlockWord } from '../word';

export const crack: BlockWord = {
  name: 'Crack',
  says: ['crack {whom:target}'],
  help: 'From outside in on a man who looks at the ball: shoulder in front of him, never from behind.',
  pulls: false,
  role: 'block',
  course: 'straight',
  care: 'blind',
  runsToHim: true,
  technique: {
    step: 'lead',
    foot: 'inside',
    aim: 'near number, in front of him',
    eyes: 'his eyes',
    length: 'long',
    landmark: 'in front of his near foot',
    head: 'across',
    hand: 'near',
    pad: 'level with his, never below the waist',
  },
  call: null,
};
