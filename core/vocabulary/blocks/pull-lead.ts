import type { BlockWord } from '../word';

export const pullLead: BlockWord = {
  name: 'Pull and lead',
  says: ['pull and lead for {whom:target}'],
  help: 'Pull tight off the double team, eyes inside, and hit the first colour to show.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  technique: {
    step: 'skip',
    foot: 'playside',
    aim: 'first colour to show',
    eyes: 'inside, off the double team',
    length: 'short',
    landmark: 'the ground behind the double',
    head: 'playside',
    hand: 'both',
    pad: 'square in the hole',
  },
  call: null,
};
