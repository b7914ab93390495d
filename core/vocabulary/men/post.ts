import type { Lineup } from '../scene';
import type { ManWord } from '../word';

const KIND = { 'tight-end': 'tight', wing: 'wing', H: 'hback', slot: 'slot', receiver: 'wide' } as const;

/** The man of a post on one side. Tackles and guards by their seat, wherever they stand; ends and wings by where they are. */
function findPost({ men, posts }: Lineup, side: string, name: string): number {
  if (name === 'tackle' || name === 'guard') {
    return posts[`${side === 'playside' ? 'P' : 'B'}${name === 'tackle' ? 'T' : 'G'}`];
  }
  const kind = KIND[name as keyof typeof KIND];
  return men.findIndex((m) => m.kind === kind && m.x > 0 === (side === 'playside'));
}

export const post: ManWord = {
  says: ['the {side:wing} {post:post}'],
  help: 'A man by his post: tackle, guard, tight end, wing, H, slot or receiver, on the play side or the back side.',
  find: (slots) => {
    const side = slots.text('side');
    const name = slots.text('post');
    return (lineup) => findPost(lineup, side, name);
  },
};
