import type { BlockWord } from '../word';

export const log: BlockWord = {
  name: 'Log',
  says: ['log {whom:target}'],
  help: 'Pull for the kick, find him inside, pin him there: the ball goes outside.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  technique: {
    step: 'open',
    foot: 'playside',
    aim: 'outside number',
    eyes: 'the end man',
    length: 'long',
    landmark: 'outside his outside foot',
    head: 'outside',
    hand: 'outside',
    pad: 'under his, on his outside',
  },
  call: null,
};
