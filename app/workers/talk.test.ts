import { describe, expect, it } from 'vitest';
import { answerInTurn } from './answering';
import { talkWith, wrong, type Other, type Wrong } from './talk';

interface Said {
  readonly kind: 'said';
  readonly number: number;
}

/** Two ends of a line: what is said at one is heard at the other a turn later. */
function line(answer: (message: number) => Promise<Said>) {
  let hear: (event: { data: unknown }) => void = () => {};
  const other: Other<number, Said | Wrong> = {
    onmessage: null,
    onerror: null,
    postMessage: (message) => queueMicrotask(() => hear({ data: message })),
    terminate: () => {},
  };
  answerInTurn<number, Said>(
    {
      addEventListener: (_, listener) => (hear = listener),
      postMessage: (data) => queueMicrotask(() => other.onmessage?.({ data: data as Said | Wrong })),
    },
    answer,
  );
  return other;
}

describe('talking with a worker', () => {
  it('gives every message its own answer, however long each takes, one after the other', async () => {
    const atWork: number[] = [];
    let most = 0;
    const say = talkWith(
      line(async (number) => {
        atWork.push(number);
        most = Math.max(most, atWork.length);
        for (let turn = 0; turn < 5 - number; turn++) await new Promise((done) => setImmediate(done));
        atWork.pop();
        return { kind: 'said', number };
      }),
      'gone',
    );
    const answers = await Promise.all([0, 1, 2, 3, 4].map((n) => say(n)));
    expect(answers.map((a) => a.number)).toEqual([0, 1, 2, 3, 4]);
    expect(most).toBe(1);
  });

  it('fails with what went wrong, and so does all that waits and all that is said later', async () => {
    const say = talkWith(
      line(async (number) => {
        if (number === 1) throw new Error('bad picture');
        return { kind: 'said', number };
      }),
      'gone',
    );
    const told = await Promise.allSettled([say(0), say(1), say(2)]);
    expect(told.map((t) => (t.status === 'fulfilled' ? t.value.number : String(t.reason)))).toEqual([
      0,
      'Error: bad picture',
      'Error: bad picture',
    ]);
    await expect(say(3)).rejects.toThrow('bad picture');
  });

  it.each([
    [{ message: 'no memory' }, 'no memory'],
    [{}, 'gone'],
  ])('fails when the other breaks: %j', async (event, says) => {
    const other = line(() => new Promise(() => {}));
    const said = talkWith(other, 'gone')(0);
    other.onerror?.(event);
    await expect(said).rejects.toThrow(says);
  });

  it('says what went wrong even where it is no error', () => {
    expect([wrong('full'), wrong(new Error('thin'))]).toEqual([
      { kind: 'wrong', message: 'full' },
      { kind: 'wrong', message: 'thin' },
    ]);
  });
});
