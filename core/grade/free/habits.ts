import { inSentence } from '../../vocabulary/in-sentence';
import * as z from 'zod';

/** Whom a man really hit against whom he was asked to, on one snap. */
export const HitSchema = z.object({
  snapId: z.int(),
  scheme: z.string(),
  side: z.string(),
  front: z.string(),
  blocker: z.string(),
  block: z.string(),
  asked: z.string().nullable(),
  next: z.string().nullable(),
  hit: z.string(),
});
export type Hit = z.infer<typeof HitSchema>;

/** So often at least, and on so many of the snaps, before it is a habit rather than chance. */
const OFTEN = 3;
const MOSTLY = 0.6;

/** A man who does something else than his sheet says, again and again, on one play against one front. */
export interface Habit {
  readonly scheme: string;
  readonly side: string;
  readonly front: string;
  readonly blocker: string;
  readonly block: string;
  readonly asked: string;
  readonly hit: string;
  readonly times: number;
  readonly of: number;
  readonly snaps: readonly number[];
}

/** Rules against habit, the most frequent first: one of the two is to be changed, and the coach says which. */
export function habitsOf(hits: readonly Hit[]): Habit[] {
  const groups = new Map<string, Hit[]>();
  for (const hit of hits) {
    if (hit.asked === null) continue;
    const key = [hit.scheme, hit.side, hit.front, hit.blocker, hit.block, hit.asked].join('|');
    groups.set(key, [...(groups.get(key) ?? []), hit]);
  }
  return [...groups.values()]
    .flatMap((own): Habit[] => {
      const others = own.filter((h) => h.hit !== h.asked && h.hit !== h.next);
      const counts = new Map<string, Hit[]>();
      for (const h of others) counts.set(h.hit, [...(counts.get(h.hit) ?? []), h]);
      const most = [...counts.values()].sort((a, b) => b.length - a.length)[0];
      if (!most || most.length < OFTEN || most.length < MOSTLY * own.length) return [];
      const { scheme, side, front, blocker, block, asked, hit } = most[0]!;
      const found = { scheme, side, front, blocker, block, asked: asked!, hit };
      return [{ ...found, times: most.length, of: own.length, snaps: most.map((h) => h.snapId) }];
    })
    .sort((a, b) => b.times - a.times || a.blocker.localeCompare(b.blocker, 'en'));
}

/** A habit as a question: which of the two is right? `play` and `block`: as they are said. */
export const sayHabit = ({ front, blocker, asked, hit, times, of }: Habit, play: string, block: string): string =>
  `In ${times} of ${of} snaps of ${play} against ${inSentence(front)} ${blocker} takes ${hit}; the sheet says ${block}, ${asked}. Which is right?`;
