import type { BlockWord } from '../word';

export const down: BlockWord = {
  name: 'Down',
  says: ['down on {whom:target}'],
  help: 'Block inside with pressure toward the ball: no penetration, no back door.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: { step: 'lateral', foot: 'inside', aim: 'near number, stop penetration first', eyes: 'the inside gap' },
  call: null,
};
