import type { Said } from '../model/huddle';
import type { Assignment, Resolution } from '../model/resolution';

/** A word at the line in the order in which it is to be spoken, and whether it has been. */
export interface SpokenCall {
  readonly seat: string;
  readonly word: string;
  /** What he said instead; `null` while he has not spoken. */
  readonly said: string | null;
  readonly isRight: boolean;
  /** Somebody who speaks after him has spoken already, and he has not. */
  readonly isLate: boolean;
}

/** What comes of what the men have said so far, all of them together. */
export interface Together {
  /** Two or more who have one man without having each other. */
  readonly twoOn: readonly { readonly defender: string; readonly men: readonly string[] }[];
  /** Men of theirs nobody has any more: everybody whose they are has said another. */
  readonly free: readonly string[];
  readonly calls: readonly SpokenCall[];
  /** Who has all of it right, and who has not. */
  readonly right: readonly string[];
  readonly wrong: readonly string[];
  /** Places that have somebody to block and have not answered. */
  readonly open: readonly string[];
}

/**
 * Puts together what single men said: where two of one place have answered, the later answer counts. A man is free only once everybody whose he
 * is has answered otherwise: who has not answered may still have him.
 */
export function together(
  resolution: Pick<Resolution, 'assignments' | 'calls'>,
  said: readonly Said[],
  silent: boolean,
): Together {
  const bySeat = new Map(said.map((s) => [s.seat, s]));
  const asked = resolution.assignments.filter((a) => a.target !== null);
  const judged = asked.flatMap((a) => {
    const his = bySeat.get(a.blocker);
    return his ? [{ seat: a.blocker, good: isRight(a, his, silent) }] : [];
  });
  return {
    twoOn: twoOnOne([...bySeat.values()]),
    free: freeMen(asked, bySeat),
    calls: silent ? [] : spoken(resolution, bySeat),
    right: judged.filter((j) => j.good).map((j) => j.seat),
    wrong: judged.filter((j) => !j.good).map((j) => j.seat),
    open: asked.map((a) => a.blocker).filter((seat) => !bySeat.has(seat)),
  };
}

const same = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && [...a].sort().join() === [...b].sort().join();

const isRight = (a: Assignment, said: Said, silent: boolean): boolean =>
  said.whom === a.target && same(said.with, a.partners) && (silent || said.call === a.call);

function twoOnOne(said: readonly Said[]): { defender: string; men: string[] }[] {
  const found = new Map<string, Said[]>();
  for (const s of said) found.set(s.whom, [...(found.get(s.whom) ?? []), s]);
  return [...found]
    .filter(([, on]) => on.some((a) => on.some((b) => a.seat !== b.seat && !a.with.includes(b.seat))))
    .map(([defender, on]) => ({ defender, men: on.map((s) => s.seat) }));
}

function freeMen(asked: readonly Assignment[], bySeat: ReadonlyMap<string, Said>): string[] {
  const taken = new Set([...bySeat.values()].map((s) => s.whom));
  const targets = [...new Set(asked.map((a) => a.target!))];
  return targets.filter(
    (t) => !taken.has(t) && asked.filter((a) => a.target === t).every((a) => bySeat.has(a.blocker)),
  );
}

/** The words in their spoken order, one a man, as he is asked for it. */
function spoken(
  { assignments, calls }: Pick<Resolution, 'assignments' | 'calls'>,
  bySeat: ReadonlyMap<string, Said>,
): SpokenCall[] {
  const speak = assignments.filter((a) => a.call !== null && a.target !== null);
  const order = (seat: string, word: string): number => {
    const at = calls.findIndex((c) => c.from === seat && c.word === word);
    return at < 0 ? calls.length : at;
  };
  const ordered = speak
    .map((a) => ({ seat: a.blocker, word: a.call! }))
    .sort((a, b) => order(a.seat, a.word) - order(b.seat, b.word));
  return ordered.map(({ seat, word }, i) => {
    const his = bySeat.get(seat);
    return {
      ...{ seat, word, said: his?.call ?? null },
      isRight: his?.call === word,
      isLate: !his && ordered.slice(i + 1).some((later) => bySeat.has(later.seat)),
    };
  });
}

/** One sentence for the room on how it stands. */
export function sayTogether({ twoOn, free, open, wrong }: Together): string {
  const sentences = [
    ...twoOn.map(
      ({ defender, men }) =>
        `${men.join(' and ')} ${men.length > 2 ? 'all' : 'both'} have ${defender} and do not know it.`,
    ),
    ...free.map((d) => `${d} is free.`),
  ];
  if (sentences.length > 0) return sentences.join(' ');
  if (open.length > 0) return `Still to say: ${open.join(', ')}.`;
  return wrong.length > 0 ? `Everybody has a man; not as the rules say: ${wrong.join(', ')}.` : 'All of it is right.';
}
