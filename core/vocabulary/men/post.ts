import { NOBODY, type Lineup, type Post } from '../scene';
import type { ManWord } from '../word';

const KIND = { 'tight-end': 'tight', wing: 'wing', H: 'hback', slot: 'slot', receiver: 'wide' } as const;

/**
 * The man of a post on one side. Tackles and guards are so by trade, and of that side where they stand: of two the outermost; where none stands, whoever is last
 * on that side stands in his place for the others. Ends and wings by where they are.
 */
function findPost({ men, posts }: Lineup, side: string, name: string): number {
  if (name === 'tackle' || name === 'guard') {
    const found = posts[`${side === 'playside' ? 'P' : 'B'}${name === 'tackle' ? 'T' : 'G'}`];
    return found === NOBODY ? lastLineman(men, side) : found;
  }
  const kind = KIND[name as keyof typeof KIND];
  return men.findIndex((m) => m.kind === kind && m.x > 0 === (side === 'playside'));
}

/** The outermost lineman on a side, no end counted. */
function lastLineman(men: Lineup['men'], side: string): number {
  const line = men.filter((m) => m.post !== null && m.post !== 'C' && m.x > 0 === (side === 'playside'));
  return line.length === 0 ? NOBODY : line.reduce((a, b) => (Math.abs(b.x) > Math.abs(a.x) ? b : a)).index;
}

export const post: ManWord = {
  says: ['the {side:wing} {post:post}'],
  help: 'A man by his post: tackle, guard, tight end, wing, H, slot or receiver, on the play side or the back side.',
  find: (slots) => {
    const side = slots.text('side');
    const name = slots.text('post');
    return (lineup) => findPost(lineup, side, name);
  },
  includes: (slots) => {
    const [side, name] = [slots.text('side'), slots.text('post')];
    if (name !== 'tackle' && name !== 'guard') return (lineup, man) => findPost(lineup, side, name) === man;
    const own: Post = `${side === 'playside' ? 'P' : 'B'}${name === 'tackle' ? 'T' : 'G'}`;
    return ({ men }, man) => men[man]!.post === own;
  },
};
