import type { BlockWord } from '../word';

export const checkRelease: BlockWord = {
  name: 'Check and release',
  says: ['check and release {whom:target}'],
  help: 'His man first; if he drops, out into the route.',
  pulls: false,
  role: 'block',
  course: 'retreat',
  scans: true,
  technique: {
    step: 'in place',
    foot: 'inside',
    aim: 'inside half',
    eyes: 'his man',
    length: 'none',
    landmark: 'his inside foot',
    head: 'inside',
    hand: 'both',
    pad: 'under his',
  },
  call: null,
};
