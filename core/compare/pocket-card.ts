import { levelOf } from '../identify/line';
import type { Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import type { Movement } from '../model/movement';
import type { Assignment, Verdict } from '../model/resolution';
import type { Side } from '../model/side';
import { resolve } from '../movement/play';
import type { CompiledScheme } from '../resolve/prepare/compile';
import type { Call } from '../resolve/prepare/prepare-call';
import { gistOf } from './gist';
import { BLOCKS, type BlockId } from '../vocabulary/index';

/** One thing a man’s man can do, and what the man does then. */
export interface CardRow {
  /** "he slants in". */
  readonly when: string;
  readonly does: string;
  /** He does what he was to do anyway. */
  readonly same: boolean;
  readonly verdict: Verdict;
}

/** What a man carries in his pocket about one call: whom he has, and what he does when that one does something else. */
export interface PocketCard {
  readonly man: string;
  readonly has: string;
  readonly rows: readonly CardRow[];
}

export interface CardCase {
  readonly scheme: CompiledScheme;
  readonly formation: Formation;
  /** As it stands; whatever movements it carries are left out. */
  readonly front: Front;
  readonly call: Call;
}

/** Where a man who walks up stands, feet off the ball. */
const WALKED_UP = 2;

/** The card of one blocker, `null` when he has no job or nobody to block. */
export function pocketCard({ scheme, formation, front, call }: CardCase, man: string): PocketCard | null {
  const still: Front = { ...front, movements: [] };
  const of = (theirs: Front): { a: Assignment | undefined; verdict: Verdict } => {
    const { assignments, verdict } = resolve(scheme, formation, theirs, call);
    return { a: assignments.find((x) => x.blocker === man), verdict };
  };
  const now = of(still).a;
  if (!now || now.target === null) return null;
  const find = (id: string | null): Defender | undefined => still.defenders.find((d) => d.id === id);
  const [his, next] = [find(now.target)!, find(now.next)];
  const rows = [...whatHeDoes(his, still, now), ...(next ? whatTheNextDoes(next) : [])].map(
    ({ when, change }): CardRow => {
      const then = of(change(still));
      return { when, does: does(then.a), same: gistOf(then.a) === gistOf(now), verdict: then.verdict };
    },
  );
  return { man, has: does(now), rows };
}

interface Twist {
  readonly when: string;
  readonly change: (front: Front) => Front;
}

const moves =
  (...movements: Movement[]) =>
  (front: Front): Front => ({ ...front, movements });
const inward = ({ x }: { x: number }): Side => (x > 0 ? 'left' : 'right');
const outward = ({ x }: { x: number }): Side => (x > 0 ? 'right' : 'left');

/** What the man he has can do. */
function whatHeDoes(his: Defender, front: Front, now: Assignment): Twist[] {
  if (levelOf(his) > 1) return whatTheNextDoes(his);
  const { id } = his;
  const comes = nearestBacker(his, front);
  const out: Twist[] = [
    { when: `${id} slants in`, change: moves({ kind: 'slant', who: id, side: inward(his) }) },
    { when: `${id} slants out`, change: moves({ kind: 'slant', who: id, side: outward(his) }) },
  ];
  if (comes)
    out.push({
      when: `${id} goes in and ${comes.id} takes his place`,
      change: moves({ kind: 'exchange', first: id, second: comes.id }),
    });
  if (now.partners.length > 0 && comes)
    out.push({
      when: `${comes.id} runs through beside ${id}`,
      change: moves({ kind: 'blitz', who: comes.id, gap: gapBy(his), side: outward(his) }),
    });
  out.push({ when: `${id} drops out`, change: moves({ kind: 'drop', who: id }) });
  return out;
}

/** What the man he goes on to can do. */
function whatTheNextDoes(next: Defender): Twist[] {
  const walks = (front: Front): Front => ({
    ...front,
    defenders: front.defenders.map((d) => (d.id === next.id ? { ...d, y: WALKED_UP, stance: 'up' } : d)),
  });
  return [
    { when: `${next.id} walks up`, change: walks },
    {
      when: `${next.id} comes at once`,
      change: moves({ kind: 'blitz', who: next.id, gap: gapBy(next), side: outward(next) }),
    },
    { when: `${next.id} runs with the play`, change: moves({ kind: 'scrape', who: next.id, side: outward(next) }) },
  ];
}

/** The gap nearest to where somebody stands, by usual splits. */
const gapBy = ({ x }: { x: number }): 'A' | 'B' | 'C' => (Math.abs(x) < 4 ? 'A' : Math.abs(x) < 8 ? 'B' : 'C');

function nearestBacker(his: Defender, front: Front): Defender | null {
  const backers = front.defenders.filter((d) => levelOf(d) === 2 && d.position === 'lb');
  backers.sort((a, b) => Math.abs(a.x - his.x) - Math.abs(b.x - his.x) || (a.id < b.id ? -1 : 1));
  return backers[0] ?? null;
}

/** What he does, in the words of the columns. */
function does(a: Assignment | undefined): string {
  if (!a) return 'has no job';
  const name = BLOCKS[a.block as BlockId].name.toLowerCase();
  const mates = a.partners.length ? ` with ${a.partners.join(' and ')}` : '';
  return `${name} ${a.target ?? 'nobody: next level'}${mates}${a.next ? `, then ${a.next}` : ''}`;
}
