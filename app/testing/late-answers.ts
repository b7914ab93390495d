import { vi } from 'vitest';

/** Answers a server has given and that are still on their way, in the order they were asked for. */
export interface LateAnswers {
  /** Until so many answers are on their way from addresses ending so: what they say was decided then. */
  given(ending: string, many?: number): Promise<void>;
  /** Lets one answer arrive of those on their way from addresses ending so: the first, or the nth, as soon as there are so many. */
  arrive(ending: string, nth?: number): Promise<void>;
  /** From now on answers arrive at once, and so do all that are on their way. */
  over(): void;
}

/** What has not been asked for after so many turns is not going to be. */
const MOST_TURNS = 500;

/** Holds up every answer of the server that is in the place of `$fetch`. */
export function lateAnswers(): LateAnswers {
  const server = (globalThis as unknown as { $fetch: (url: string, options: unknown) => Promise<unknown> }).$fetch;
  let onTheWay: { url: string; arrive: () => void }[] = [];
  let isOver = false;
  vi.stubGlobal('$fetch', async (url: string, options: unknown) => {
    const answer = await server(url, options);
    if (!isOver) await new Promise<void>((arrive) => onTheWay.push({ url, arrive }));
    return answer;
  });
  const from = (ending: string) => onTheWay.filter((o) => o.url.endsWith(ending));
  async function given(ending: string, many = 1): Promise<void> {
    for (let turns = 0; from(ending).length < many && turns < MOST_TURNS; turns++) await Promise.resolve();
    if (from(ending).length < many)
      throw new Error(`not ${many} of ${ending} are on their way, only ${onTheWay.map((o) => o.url).join(', ')}`);
  }
  return {
    given,
    async arrive(ending, nth = 1) {
      await given(ending, nth);
      const one = from(ending)[nth - 1]!;
      onTheWay = onTheWay.filter((o) => o !== one);
      one.arrive();
    },
    over() {
      isOver = true;
      for (const { arrive } of onTheWay) arrive();
      onTheWay = [];
    },
  };
}
