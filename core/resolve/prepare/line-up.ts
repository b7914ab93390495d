import { lineOf, type Formation } from '../../model/formation';
import { signOf, type Side } from '../../model/side';
import type { Phrase, SeatLine } from '../../language/tree';
import { NOBODY, POSTS, type Lineup, type Post, type SceneMan } from '../../vocabulary/scene';
import { compileMan } from './phrase';

/** A man's name says his trade, the place where he stands his side: a tackle moved over is a second tackle there. */
function postOf({ id, x }: { id: string; x: number }): Post | null {
  if (id === 'C') return 'C';
  const trade = /^[LR]([TG])$/.exec(id)?.[1];
  return trade ? (`${x > 0 ? 'P' : 'B'}${trade}` as Post) : null;
}

/** Of several men of one post the outermost: "outside the tackle" means outside all of them. */
function placeOfPost(men: readonly SceneMan[], post: Post): number {
  let found = NOBODY;
  for (const m of men)
    if (m.post === post && (found === NOBODY || Math.abs(m.x) > Math.abs(men[found]!.x))) found = m.index;
  return found;
}

/** Turns a formation so that the play side is right, and gives every job the scheme declares to the first of its choices who is there and has none. */
export function lineUp(
  formation: Formation,
  side: Side,
  tags: ReadonlySet<string>,
  jobs: readonly SeatLine[],
  spoken: ReadonlyMap<string, string> = NOTHING_SAID,
): Lineup {
  const men = seatMen(formation, side);
  const posts = Object.fromEntries(POSTS.map((post) => [post, placeOfPost(men, post)])) as Record<Post, number>;
  const seats = new Map<string, number>();
  const lineup = { men, lineCount: lineOf(formation).length, posts, side, tags, spoken, seats };
  const busy = new Set<number>();
  const isFree = (man: number): boolean => man !== NOBODY && !busy.has(man);
  for (const { name, choices } of jobs) {
    const man = choices.map((choice: Phrase) => compileMan(choice, null)(lineup, NOBODY)).find(isFree) ?? NOBODY;
    seats.set(name, man);
    busy.add(man);
  }
  return lineup;
}

const NOTHING_SAID: ReadonlyMap<string, string> = new Map();

function seatMen(formation: Formation, side: Side): SceneMan[] {
  const sign = signOf(side);
  const turned = formation.men.map((m) => ({ ...m, x: m.x === 0 ? 0 : m.x * sign }));
  const lineIds = new Set(lineOf(formation).map((m) => m.id));
  const line = turned.filter((m) => lineIds.has(m.id)).sort((a, b) => a.x - b.x);
  const off = turned.filter((m) => !lineIds.has(m.id)).sort((a, b) => b.x - a.x || b.y - a.y || (a.id < b.id ? -1 : 1));
  const all = [...line, ...off].map((m, index): SceneMan => ({
    index,
    id: m.id,
    kind: m.kind,
    x: m.x,
    y: m.y,
    post: postOf(m),
    playside: index + 1 < line.length ? index + 1 : NOBODY,
    backside: index > 0 && index < line.length ? index - 1 : NOBODY,
  }));
  // Whom the quarterback reads and whom the scheme leaves are rules too; nobody stands there.
  const standIn = (id: string, kind: SceneMan['kind'], index: number): SceneMan => ({
    index,
    id,
    kind,
    x: 0,
    y: -15,
    post: null,
    playside: NOBODY,
    backside: NOBODY,
  });
  return [...all, standIn('QB read', 'quarterback-read', all.length), standIn('design', 'design', all.length + 1)];
}
