import type { GroupWord } from '../word';

export const everyLineman: GroupWord = {
  says: ['every man on the line'],
  help: 'Everyone on the line, attached tight ends included.',
  includes: () => (scene, man) => man < scene.lineCount,
};

export const quarterback: GroupWord = {
  says: ['the quarterback'],
  help: 'Whom the quarterback reads instead of having him blocked.',
  includes: () => (scene, man) => scene.men[man]!.kind === 'quarterback-read',
};

export const leftByDesign: GroupWord = {
  says: ['left by design'],
  help: 'Defenders the scheme leaves alone on purpose.',
  includes: () => (scene, man) => scene.men[man]!.kind === 'design',
};

export const oneMan: GroupWord = {
  says: ['{who:man}'],
  help: 'One man by his post or seat.',
  includes: (slots) => {
    const who = slots.man('who');
    return (scene, man) => who(scene, man) === man;
  },
};
