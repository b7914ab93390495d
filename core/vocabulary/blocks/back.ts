import type { BlockWord } from '../word';

export const back: BlockWord = {
  name: 'Back',
  says: ['back on {whom:target}'],
  help: 'Fill back for the man who pulls.',
  pulls: false,
  role: 'block',
  course: 'straight',
  technique: { step: 'lead', foot: 'near', aim: 'near number, not past his midline', eyes: 'the back-side gap' },
  call: 'gone',
};
