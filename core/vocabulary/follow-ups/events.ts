import type { FollowWord } from '../word';

const event = (says: readonly string[], help: string): FollowWord => ({ about: 'event', says, help });

export const crossesFace = event(['he crosses my face', 'he crosses my face {way:inout}'], 'The man I am on slants across my nose; inside or outside may be said.');
export const slantsIn = event(['a man slants into {gap:gap}'], 'A first-level defender moves into that gap after the snap.');
export const gone = event(['the man in front of me is gone'], 'The man my rule gave me has left before I could reach him.');
export const runsThrough = event(['a linebacker runs through {gap:gap}'], 'A second-level defender comes through that gap.');
export const splitsUs = event(['the man down the middle splits us'], 'The man we double comes between the two of us.');
export const nobodyShows = event(['nobody shows'], 'The man I was sent to is not there.');
