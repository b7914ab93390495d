import type { BlockWord } from '../word';

export const lead: BlockWord = {
  name: 'Lead',
  says: ['lead for {whom:target}'],
  help: 'From the backfield through the hole onto the first man the rule names.',
  pulls: false,
  role: 'block',
  course: 'climb',
  runsToHim: true,
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'inside number',
    eyes: 'through the hole',
    length: 'long',
    landmark: 'his inside foot',
    head: 'playside',
    hand: 'both',
    pad: 'under his through the hole',
  },
  call: null,
};
