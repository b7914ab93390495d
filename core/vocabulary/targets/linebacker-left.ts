import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const linebackerLeft: TargetWord = {
  says: ['the linebacker left for me'],
  help: 'Of the linebackers nobody has, those who say this are matched with the nearest ones without crossing.',
  offTheLine: true,
  find: () => ({ claim: 'matched', every: false, seek: () => NOBODY }),
};
