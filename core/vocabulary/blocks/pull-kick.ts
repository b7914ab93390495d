import type { BlockWord } from '../word';

export const pullKick: BlockWord = {
  name: 'Pull and kick',
  says: ['pull and kick {whom:target}'],
  help: 'Pull flat, then uphill, and turn him out.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  technique: {
    step: 'open',
    foot: 'playside',
    aim: 'inside-out, inside number',
    eyes: 'the end man',
    length: 'short',
    landmark: 'his inside foot',
    head: 'inside',
    hand: 'inside',
    pad: 'under his, from inside out',
  },
  call: null,
};
