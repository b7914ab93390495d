import type { BlockWord } from '../word';

export const base: BlockWord = {
  name: 'Base',
  says: ['base {whom:target}'],
  help: 'Square him up and hold him where he is; a stalemate on the line is success.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: { step: 'lead', foot: 'near', aim: 'midline, square', eyes: 'the man in front' },
  call: null,
};
