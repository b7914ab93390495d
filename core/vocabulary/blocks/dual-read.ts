import type { BlockWord } from '../word';

export const dualRead: BlockWord = {
  name: 'Dual read',
  says: ['dual read {whom:target}'],
  help: 'Two men may come and one blocker has them: the inner first, the outer if he drops.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  scans: true,
  technique: {
    step: 'post',
    foot: 'inside',
    aim: 'inside man first',
    eyes: 'inside man, then outside',
    length: 'none',
    landmark: 'the inner man’s near foot',
    head: 'inside',
    hand: 'both',
    pad: 'square to the line',
  },
  call: null,
};
