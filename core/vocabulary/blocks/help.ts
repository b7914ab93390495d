import type { BlockWord } from '../word';

export const help: BlockWord = {
  name: 'Help',
  says: ['help {partner:man} on {whom:target}'],
  help: 'Help the partner who owns him, then go on.',
  pulls: false,
  role: 'pair',
  course: 'straight',
  comesOffFirst: true,
  technique: { step: 'lead', foot: 'near', aim: 'near hip, one hand', eyes: 'the linebacker' },
  call: 'pair',
};
