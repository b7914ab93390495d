import type { BlockWord } from '../word';

export const pullWrap: BlockWord = {
  name: 'Pull and wrap',
  says: ['pull and wrap for {whom:target}'],
  help: 'Pull behind the kick, turn up inside it, first colour to show.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  technique: {
    step: 'open',
    foot: 'playside',
    aim: 'first colour inside',
    eyes: 'inside, around the kick',
    length: 'short',
    landmark: 'the ground inside the kick',
    head: 'playside',
    hand: 'both',
    pad: 'square in the hole',
  },
  call: null,
};
