import type { BlockWord } from '../word';

export const help: BlockWord = {
  name: 'Help',
  says: ['help {partner:man} on {whom:target}'],
  help: 'Help the partner who owns him, then go on.',
  pulls: false,
  role: 'pair',
  course: 'straight',
  comesOffFirst: true,
  technique: {
    step: 'lead',
    foot: 'near',
    aim: 'near hip, one hand',
    eyes: 'the linebacker',
    length: 'short',
    landmark: 'his near foot',
    head: 'near',
    hand: 'near',
    pad: 'level with the partner’s hip, eyes up',
    byPlace: [
      {
        when: { role: 'inner', track: 'gap' },
        then: {
          step: 'in place',
          length: 'none',
          aim: 'near armpit, from under',
          hand: 'both',
          pad: 'under his: stop him and raise him',
        },
      },
      {
        when: { role: 'outer', track: 'gap' },
        then: {
          landmark: 'his near foot, driving off the near foot',
          aim: 'near hip and ribs',
          pad: 'level with the partner’s hip: move him',
        },
      },
    ],
  },
  call: 'pair',
};
