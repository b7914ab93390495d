import { effectScope } from 'vue';
import { describe, expect, it } from 'vitest';
import { useAsked, type WorkerLike } from './asked';
import { serveJobs, type Answer, type Question } from './serve';

/** A worker whose answers are sent by hand. */
class Hand implements WorkerLike {
  onmessage: WorkerLike['onmessage'] = null;
  onerror: WorkerLike['onerror'] = null;
  readonly asked: Question<string>[] = [];
  ended = false;
  postMessage(question: unknown): void {
    this.asked.push(question as Question<string>);
  }
  terminate(): void {
    this.ended = true;
  }
  say(answer: Answer<string>): void {
    this.onmessage?.call(this as never, { data: answer } as MessageEvent);
  }
  break(message: string): void {
    (this.onerror as unknown as (event: { message: string }) => void)({ message });
  }
}

function set() {
  const made: Hand[] = [];
  const asked = useAsked<string, string>(() => {
    made.push(new Hand());
    return made.at(-1)!;
  });
  return { made, asked, hand: () => made.at(-1)! };
}

describe('asking a worker', () => {
  it('shows what has come so far, and the whole once it is there', () => {
    const { asked, hand } = set();
    asked.ask('one');
    hand().say({ id: 1, kind: 'part', found: ['a', 'b'], done: 2 });
    expect([asked.found.value, asked.done.value, asked.running.value, asked.whole.value]).toEqual([
      ['a', 'b'],
      2,
      true,
      [],
    ]);
    hand().say({ id: 1, kind: 'part', found: ['c'], done: 3 });
    hand().say({ id: 1, kind: 'end' });
    expect([asked.whole.value, asked.running.value]).toEqual([['a', 'b', 'c'], false]);
  });

  it('asks nothing for whoever has left, and lets the worker go', () => {
    const scope = effectScope();
    const { asked, hand, made } = scope.run(set)!;
    asked.ask('one');
    scope.stop();
    expect([hand().ended, asked.running.value]).toEqual([true, false]);
    asked.ask('late');
    expect([made.length, hand().asked.length, asked.running.value]).toEqual([1, 1, false]);
  });

  it('drops answers to an old question, whenever they come', () => {
    const { asked, hand, made } = set();
    asked.ask('one');
    hand().say({ id: 1, kind: 'part', found: ['old'], done: 1 });
    asked.ask('two');
    expect(asked.found.value).toEqual([]);
    hand().say({ id: 1, kind: 'part', found: ['late'], done: 2 });
    hand().say({ id: 2, kind: 'part', found: ['new'], done: 1 });
    hand().say({ id: 1, kind: 'end' });
    expect([asked.found.value, asked.running.value, asked.whole.value]).toEqual([['new'], true, []]);
    hand().say({ id: 2, kind: 'end' });
    expect(asked.whole.value).toEqual(['new']);
    expect(made).toHaveLength(1);
  });

  it('keeps the last whole answer until the next one is whole', () => {
    const { asked, hand } = set();
    asked.ask('one');
    hand().say({ id: 1, kind: 'part', found: ['a'], done: 1 });
    hand().say({ id: 1, kind: 'end' });
    asked.ask('two');
    expect(asked.whole.value).toEqual(['a']);
    hand().say({ id: 2, kind: 'end' });
    expect(asked.whole.value).toEqual([]);
  });

  it('says what went wrong, keeps what was found, and starts anew when asked again', () => {
    const { asked, hand, made } = set();
    asked.ask('one');
    hand().say({ id: 1, kind: 'part', found: ['a'], done: 1 });
    hand().break('out of memory');
    expect(asked.problem.value).toBe('The work stopped: out of memory. What was found so far stands.');
    expect([asked.found.value, asked.running.value, hand().ended]).toEqual([['a'], false, true]);
    asked.ask('two');
    expect([made.length, asked.problem.value]).toEqual([2, '']);
    hand().say({ id: 2, kind: 'wrong', message: 'no such play' });
    expect([asked.problem.value, asked.running.value]).toEqual(['This could not be worked out: no such play.', false]);
  });
});

/** The worker's side with its messages in hand. */
function serve(work: (job: number) => Iterable<number>, batch: number) {
  let hear: (event: { data: unknown }) => void = () => undefined;
  const said: Answer<number>[] = [];
  serveJobs<number, number>(
    { addEventListener: (_type, h) => void (hear = h), postMessage: (m) => void said.push(m as Answer<number>) },
    work,
    batch,
  );
  return { said, ask: (id: number, job: number) => hear({ data: { id, job } satisfies Question<number> }) };
}
function* upTo(n: number): Generator<number> {
  for (let i = 1; i <= n; i++) yield i;
}
const until = async (holds: () => boolean): Promise<void> => {
  while (!holds()) await new Promise((resolve) => setTimeout(resolve));
};

describe('answering in a worker', () => {
  it('sends batches and then the end, every part once and in order', async () => {
    const { said, ask } = serve(upTo, 4);
    ask(1, 10);
    await until(() => said.at(-1)?.kind === 'end');
    expect(said.flatMap((a) => (a.kind === 'part' ? a.found : []))).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(said.map((a) => (a.kind === 'part' ? a.done : a.kind))).toEqual([4, 8, 10, 'end']);
  });

  it('leaves an old question for a new one at the next turn, and never ends it', async () => {
    const { said, ask } = serve(upTo, 2);
    ask(1, 1000);
    await until(() => said.length > 1);
    ask(2, 3);
    await until(() => said.some((a) => a.id === 2 && a.kind === 'end'));
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect(said.filter((a) => a.id === 1 && a.kind === 'end')).toEqual([]);
    const first = said.findIndex((a) => a.id === 2);
    expect(said.slice(first).filter((a) => a.id === 1)).toEqual([]);
  });

  it('says what stood in the way', async () => {
    const { said, ask } = serve(() => {
      throw new Error('no such play');
    }, 2);
    ask(7, 1);
    await until(() => said.length > 0);
    expect(said).toEqual([{ id: 7, kind: 'wrong', message: 'no such play' }]);
  });
});
