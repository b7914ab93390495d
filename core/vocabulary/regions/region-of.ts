import type { ManWord } from '../word';

export const regionOf: ManWord = {
  says: ['the region of {who:man}'],
  help: 'The part of the line that is that man’s by the scheme’s cover.',
  find: (slots) => slots.man('who'),
};
