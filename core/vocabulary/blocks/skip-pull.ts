import type { BlockWord } from '../word';

export const skipPull: BlockWord = {
  name: 'Skip pull',
  says: ['skip pull and kick {whom:target}'],
  help: 'Pull with square shoulders so that the hole can be read on the way.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  technique: { step: 'skip', foot: 'playside', aim: 'inside-out, inside number', eyes: 'the edge' },
  call: null,
};
