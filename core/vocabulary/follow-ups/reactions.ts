import type { FollowWord } from '../word';

export const stay: FollowWord = {
  about: 'reaction',
  says: ['stay with him'],
  help: 'Keep blocking the man who moved.',
};

export const passOff: FollowWord = {
  about: 'reaction',
  says: ['pass him off and climb'],
  help: 'Leave him to the neighbour he runs to and go to the linebacker.',
};

export const blockIt: FollowWord = {
  about: 'reaction',
  says: ['block him'],
  help: 'Block the man who came.',
};

export const nextLevel: FollowWord = {
  about: 'reaction',
  says: ['go to the next level'],
  help: 'Look for the first colour beyond.',
};
