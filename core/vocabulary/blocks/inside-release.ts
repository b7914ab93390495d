import type { BlockWord } from '../word';

export const insideRelease: BlockWord = {
  name: 'Inside release',
  says: ['release inside to {whom:target}', 'release inside'],
  help: 'Get inside the man on the line without touching him, then the linebacker.',
  pulls: false,
  role: 'block',
  course: 'climb',
  technique: {
    step: 'lead',
    foot: 'inside',
    aim: 'inside-out on the linebacker',
    eyes: 'the linebacker',
    length: 'long',
    landmark: 'past the near man’s inside foot',
    head: 'inside',
    hand: 'inside',
    pad: 'under the man on the line, untouched',
  },
  call: 'solo',
};
