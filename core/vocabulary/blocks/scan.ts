import type { BlockWord } from '../word';

export const scan: BlockWord = {
  name: 'Scan',
  says: ['scan {whom:target}'],
  help: 'Look at him first; if he does not come, look at the next one; if nobody comes, out.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  scans: true,
  technique: {
    step: 'in place',
    foot: 'inside',
    aim: 'inside half, through the gap he comes by',
    eyes: 'the first man of the scan, then the next',
    length: 'none',
    landmark: 'the gap he comes by',
    head: 'inside',
    hand: 'both',
    pad: 'under his at contact',
  },
  call: null,
};
