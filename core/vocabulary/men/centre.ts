import type { ManWord } from '../word';

export const centre: ManWord = {
  says: ['the centre'],
  help: 'The man with the ball.',
  find: () => (scene) => scene.posts.C,
};
