import type { FollowWord } from '../word';

const reaction = (says: readonly string[], help: string): FollowWord => ({ about: 'reaction', says, help });

export const stay = reaction(['stay with him'], 'Keep blocking the man who moved.');
export const passOff = reaction(['pass him off and climb'], 'Leave him to the neighbour he runs to and go to the linebacker.');
export const nearHip = reaction(['run with his near hip'], 'Get on the hip nearer to me and ride him the way he runs.');
export const goUp = reaction(['climb'], 'Go to the linebacker at once.');
export const comeOff = reaction(['come off on him'], 'Leave the double and take the man who runs through.');
export const outsideTakes = reaction(['the outside man takes his hip'], 'The man on the outside of the pair rides him; the inside man climbs.');
export const blockIt = reaction(['block him'], 'Block the man who came.');
export const nextLevel = reaction(['go to the next level'], 'Look for the first colour beyond.');
