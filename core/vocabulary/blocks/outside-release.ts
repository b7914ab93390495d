import type { BlockWord } from '../word';

export const outsideRelease: BlockWord = {
  name: 'Outside release',
  says: ['release outside to {whom:target}', 'release outside'],
  help: 'Around the man on the line without touching him, then the next level.',
  pulls: false,
  role: 'block',
  course: 'climb',
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'outside-in on the next man',
    eyes: 'the second level',
    length: 'long',
    landmark: 'past the end’s outside foot',
    head: 'outside',
    hand: 'inside',
    pad: 'under the man on the line, untouched',
  },
  call: null,
};
