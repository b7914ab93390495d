import type { FollowWord } from '../word';

export const crossesFace: FollowWord = {
  about: 'event',
  says: ['he crosses my face'],
  help: 'The man I am on slants across my nose.',
};

export const slantsIn: FollowWord = {
  about: 'event',
  says: ['a man slants into {gap:gap}'],
  help: 'A first-level defender moves into that gap after the snap.',
};

export const nobodyShows: FollowWord = {
  about: 'event',
  says: ['nobody shows'],
  help: 'The man I was sent to is not there.',
};
