import { perLineup } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { ManWord } from '../word';

const KIND = { 'tight-end': 'tight', wing: 'wing', H: 'hback', slot: 'slot', receiver: 'wide' } as const;

/** The man of a post on one side. Tackles and guards by their seat, wherever they stand; ends and wings by where they are. */
function findPost(scene: Scene, side: string, name: string): number {
  if (name === 'tackle' || name === 'guard') {
    return scene.posts[`${side === 'playside' ? 'P' : 'B'}${name === 'tackle' ? 'T' : 'G'}`];
  }
  const kind = KIND[name as keyof typeof KIND];
  return scene.men.findIndex((m) => m.kind === kind && (m.x > 0) === (side === 'playside'));
}

export const post: ManWord = {
  says: ['the {side:wing} {post:post}'],
  help: 'A man by his post: tackle, guard, tight end, wing, H, slot or receiver, on the play side or the back side.',
  find: (slots) => {
    const side = slots.text('side');
    const name = slots.text('post');
    return perLineup((scene) => findPost(scene, side, name));
  },
};

export const centre: ManWord = {
  says: ['the centre'],
  help: 'The man with the ball.',
  find: () => (scene) => scene.posts.C,
};

export const lastMan: ManWord = {
  says: ['the last man {side:wing}'],
  help: 'The man at the end of the line on that side, attached tight ends included.',
  find: (slots) => {
    const playside = slots.text('side') === 'playside';
    return (scene) => (scene.lineCount === 0 ? NOBODY : playside ? scene.lineCount - 1 : 0);
  },
};

const byKind = (kind: string) => perLineup((scene) => scene.men.findIndex((m) => m.kind === kind));

export const hBack: ManWord = {
  says: ['the H'],
  help: 'The back off the ball behind a tackle.',
  find: () => byKind('hback'),
};

export const fullback: ManWord = {
  says: ['the fullback'],
  help: 'The back between the quarterback and the tailback.',
  find: () => byKind('fullback'),
};

export const tailback: ManWord = {
  says: ['the back'],
  help: 'The running back.',
  find: () => byKind('back'),
};

export const declaredSeat: ManWord = {
  says: ['the {seat:seat}'],
  help: 'A job this scheme gives to one man in a line "seat NAME = ...".',
  find: (slots) => {
    const seat = slots.text('seat');
    return (scene) => scene.seats.get(seat) ?? NOBODY;
  },
};
