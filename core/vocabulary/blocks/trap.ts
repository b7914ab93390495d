import type { BlockWord } from '../word';

export const trap: BlockWord = {
  name: 'Trap',
  says: ['trap {whom:target}'],
  help: 'Short pull into the line, tight to the down block, inside-out: turn him out.',
  pulls: true,
  role: 'block',
  course: 'behind-the-line',
  care: 'blind',
  technique: {
    step: 'short pull',
    foot: 'playside',
    aim: 'inside-out, tight to the down block',
    eyes: 'the man he traps',
    length: 'short',
    landmark: 'his inside foot',
    head: 'inside',
    hand: 'inside',
    pad: 'under his, tight to the down block',
  },
  call: null,
};
