import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ref } from 'vue';
import { NOTHING_MEASURED, type Measuring } from '#core/model/measured';
import { lateAnswers } from '~/testing/late-answers';
import { dropUnsent, keepUnsent, unsentOf } from './box';
import { useDesks, type Measured } from './desks';

const [USER, OTHER] = [3, 4];
/** What the server has of each snap, and how it answers what is sent. */
let kept: Map<number, Measured>;
/** Whoever measures is the same man, on however many pages. */
let isOneMan: boolean;
let answer: 'takes it' | 'is away' | { status: number; message: string };
let sent: string[];
beforeEach(async () => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  for (const user of [USER, OTHER]) await dropUnsent(...(await unsentOf(user)));
  kept = new Map();
  [answer, sent, isOneMan] = ['takes it', [], false];
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string; body?: Measured }) => {
    const snap = Number(url.split('/').at(-2));
    const there = kept.get(snap) ?? { revision: 0, isMine: false, measuring: NOTHING_MEASURED };
    if (answer === 'is away') throw new Error('no connection');
    if (method === 'GET') return there;
    sent.push(`${snap} on ${body!.revision}`);
    const refused =
      answer === 'takes it'
        ? body!.revision !== there.revision && { status: 409, message: 'meanwhile' }
        : { status: answer.status, message: answer.message };
    if (refused) throw Object.assign(new Error(refused.message), { status: refused.status, data: refused });
    kept.set(snap, { revision: there.revision + 1, isMine: isOneMan, measuring: body!.measuring });
    return { revision: there.revision + 1 };
  });
});
afterEach(() => vi.unstubAllGlobals());

/** A page somebody measures on: what it shows of snap 1, and what it says. */
function page(user: number | null = USER) {
  const problem = ref('');
  const shown = ref<Measuring>(NOTHING_MEASURED);
  const desks = useDesks({ user: () => user, problem, show: (snap, all) => snap === 1 && (shown.value = all) });
  return { ...desks, problem, shown };
}
const click = (id: string, x = 1): Measuring['atSnap'][number] => ({
  ...{ id, team: 'offence', angle: 'end zone', pixel: { x, y: 100 } },
});
const clicks = (...all: Measuring['atSnap']): Measuring => ({ ...NOTHING_MEASURED, atSnap: all });
const men = (measuring: Measuring | undefined): string[] =>
  (measuring?.atSnap ?? []).map((c) => `${c.id} ${c.pixel.x}`);
const there = (snap: number): string[] => men(kept.get(snap)?.measuring);

describe('clicks without a connection', () => {
  it('stay on the page and on the device, and go all together when there is one', async () => {
    const { open, change, sendAgain, problem, waits, wholeOf } = page();
    await open(1);
    answer = 'is away';
    expect(await change(1, clicks(click('LT')))).toBe(false);
    expect(await change(1, clicks(click('LT'), click('C')))).toBe(false);
    expect([men(wholeOf(1)), waits.value]).toEqual([['LT 1', 'C 1'], true]);
    expect(problem.value).toBe(
      'The server cannot be reached. What you click is kept on this device, and sent when the server answers.',
    );
    expect(men((await unsentOf(USER))[0]!.mine)).toEqual(['LT 1', 'C 1']);
    answer = 'takes it';
    await sendAgain();
    expect([there(1), sent, problem.value, waits.value]).toEqual([['LT 1', 'C 1'], ['1 on 0'], '', false]);
    expect(await unsentOf(USER)).toEqual([]);
  });

  it('go with the next click, too', async () => {
    const { open, change } = page();
    await open(1);
    answer = 'is away';
    await change(1, clicks(click('LT')));
    answer = 'takes it';
    expect(await change(1, clicks(click('LT'), click('C')))).toBe(true);
    expect(there(1)).toEqual(['LT 1', 'C 1']);
  });

  it('are there when the page comes again, on top of what others have measured meanwhile', async () => {
    const before = page();
    await before.open(1);
    answer = 'is away';
    await before.change(1, clicks(click('LT')));
    answer = 'takes it';
    kept.set(1, { revision: 7, isMine: false, measuring: clicks(click('C', 9)) });
    const { open, shown, notice, change } = page();
    await open(1);
    expect(men(shown.value).sort()).toEqual(['C 9', 'LT 1']);
    while (there(1).length < 2) await new Promise((later) => setTimeout(later));
    expect(there(1).sort()).toEqual(['C 9', 'LT 1']);
    expect(notice.value).toBe('Somebody else has measured on this snap meanwhile: both are together now.');
    await change(1, clicks());
    expect([notice.value, await unsentOf(USER)]).toEqual(['', []]);
  });

  it('are nobody’s doing but one’s own when nobody has measured meanwhile', async () => {
    const before = page();
    await before.open(1);
    await before.change(1, clicks(click('C')));
    answer = 'is away';
    await before.change(1, clicks(click('C'), click('LT')));
    answer = 'takes it';
    const { open, notice, sendAgain } = page();
    await open(1);
    await sendAgain();
    expect([there(1), notice.value]).toEqual([['C 1', 'LT 1'], '']);
  });

  it('of other snaps are sent as well, without anybody opening them', async () => {
    await keepUnsent({ user: USER, snap: 2, page: 'before', before: NOTHING_MEASURED, mine: clicks(click('RG')) });
    const { open, sendAgain, shown } = page();
    await open(1);
    await sendAgain();
    expect([there(2), shown.value]).toEqual([['RG 1'], NOTHING_MEASURED]);
    expect(await unsentOf(USER)).toEqual([]);
  });

  it('of a snap that is gone are dropped, those of somebody else are left alone', async () => {
    await keepUnsent({ user: USER, snap: 2, page: 'before', before: NOTHING_MEASURED, mine: clicks(click('RG')) });
    await keepUnsent({ user: OTHER, snap: 3, page: 'before', before: NOTHING_MEASURED, mine: clicks(click('RG')) });
    const { sendAgain } = page();
    const server = globalThis.$fetch as unknown as (url: string, options: object) => Promise<unknown>;
    vi.stubGlobal('$fetch', async (url: string, options: object) => {
      if (url.includes('/2/')) throw Object.assign(new Error('gone'), { status: 404, data: { message: 'gone' } });
      return server(url, options);
    });
    await sendAgain();
    expect([await unsentOf(USER), (await unsentOf(OTHER)).length, sent]).toEqual([[], 1, []]);
  });

  it('are not forgotten where the page comes again while there is still no connection', async () => {
    const before = page();
    await before.open(1);
    answer = 'is away';
    await before.change(1, clicks(click('LT')));
    const { open, sendAgain, change, wholeOf } = page();
    await expect(open(1)).rejects.toThrow('cannot be reached');
    await sendAgain();
    expect(men((await unsentOf(USER))[0]!.mine)).toEqual(['LT 1']);
    answer = 'takes it';
    kept.set(1, { revision: 7, isMine: false, measuring: clicks(click('C', 9)) });
    await open(1);
    await change(1, clicks(...wholeOf(1).atSnap, click('RG')));
    expect([there(1).sort(), await unsentOf(USER)]).toEqual([['C 9', 'LT 1', 'RG 1'], []]);
  });

  it('of two pages are all kept, and all taken up by the next', async () => {
    const [one, two] = [page(), page()];
    await Promise.all([one.open(1), two.open(1)]);
    answer = 'is away';
    await one.change(1, clicks(click('LT')));
    await two.change(1, clicks(click('C')));
    expect(await unsentOf(USER)).toHaveLength(2);
    answer = 'takes it';
    const { sendAgain } = page();
    await sendAgain();
    expect([there(1).sort(), await unsentOf(USER)]).toEqual([['C 1', 'LT 1'], []]);
  });

  it('stay while he is logged out or the server has too much to do, and go afterwards', async () => {
    const { open, change, sendAgain, problem, wholeOf } = page();
    await open(1);
    for (const status of [401, 408, 429, 500, 503]) {
      answer = { status, message: 'Not now.' };
      expect(await change(1, clicks(click('LT', status)))).toBe(false);
      expect([men(wholeOf(1)), problem.value]).toEqual([
        [`LT ${status}`],
        expect.stringMatching(/^Not now\. What you click is kept on this device/),
      ]);
    }
    answer = 'takes it';
    await sendAgain();
    expect(there(1)).toEqual(['LT 503']);
  });

  it('are sent all the same where the device keeps nothing', async () => {
    vi.stubGlobal('indexedDB', undefined);
    const { open, change } = page();
    await open(1);
    expect(await change(1, clicks(click('LT')))).toBe(true);
    expect(there(1)).toEqual(['LT 1']);
  });
});

describe('one who measures one snap on two pages', () => {
  it('has both together, and hears that it was he', async () => {
    isOneMan = true;
    const [one, two] = [page(USER), page(USER)];
    await Promise.all([one.open(1), two.open(1)]);
    await one.change(1, clicks(click('LT', 1)));
    expect(await two.change(1, clicks(click('LT', 2), click('N', 2)))).toBe(true);
    expect(there(1).sort()).toEqual(['LT 2', 'N 2']);
    expect(two.notice.value).toBe(
      'You have measured on this snap on another page meanwhile: both are together now. Of LT what was done here stands.',
    );
  });
});

describe('two who measure one snap', () => {
  it('both have what both have clicked, and hear whose click stands where both did', async () => {
    const [one, two] = [page(USER), page(OTHER)];
    await Promise.all([one.open(1), two.open(1)]);
    await one.change(1, clicks(click('LT', 1), click('C', 1)));
    expect(await two.change(1, clicks(click('LT', 2), click('N', 2)))).toBe(true);
    expect(there(1).sort()).toEqual(['C 1', 'LT 2', 'N 2']);
    expect(men(two.shown.value).sort()).toEqual(there(1).sort());
    expect([two.problem.value, two.notice.value]).toEqual([
      '',
      'Somebody else has measured on this snap meanwhile: both are together now. Of LT yours stands.',
    ]);
    await one.change(1, clicks(click('LT', 1), click('C', 1), click('RG', 3)));
    expect(there(1).sort()).toEqual(['C 1', 'LT 2', 'N 2', 'RG 3']);
  });

  it('both have it also where the other is faster again and again', async () => {
    const { open, change, shown } = page();
    await open(1);
    const server = globalThis.$fetch as unknown as (url: string, options: { method: string }) => Promise<unknown>;
    let left = 3;
    vi.stubGlobal('$fetch', async (url: string, options: { method: string }) => {
      const { revision, measuring } = kept.get(1) ?? { revision: 0, isMine: false, measuring: NOTHING_MEASURED };
      if (options.method === 'PUT' && left-- > 0)
        kept.set(1, {
          isMine: false,
          revision: revision + 1,
          measuring: clicks(...measuring.atSnap, click(`W${left}`)),
        });
      return server(url, options);
    });
    expect(await change(1, clicks(click('LT')))).toBe(true);
    expect(there(1).sort()).toEqual(['LT 1', 'W0 1', 'W1 1', 'W2 1']);
    expect(men(shown.value).sort()).toEqual(there(1).sort());
  });

  it('keep what was clicked when the connection breaks just as the other was faster', async () => {
    const { open, change, sendAgain, problem } = page();
    await open(1);
    kept.set(1, { revision: 4, isMine: false, measuring: clicks(click('C', 9)) });
    const server = globalThis.$fetch as unknown as (url: string, options: object) => Promise<unknown>;
    vi.stubGlobal('$fetch', async (url: string, options: { method: string }) => {
      const answered = await server(url, options).catch((failure) => failure);
      answer = 'is away';
      if (answered instanceof Error) throw answered;
      return answered;
    });
    expect(await change(1, clicks(click('LT')))).toBe(false);
    expect(problem.value).toMatch(/is kept on this device/);
    vi.stubGlobal('$fetch', server);
    answer = 'takes it';
    await sendAgain();
    expect(there(1).sort()).toEqual(['C 9', 'LT 1']);
  });
});

describe('what is clicked while something is on its way', () => {
  it('is sent after it and is not taken away by its answer', async () => {
    const { open, change } = page();
    await open(1);
    const late = lateAnswers();
    const first = change(1, clicks(click('LT')));
    await late.given('/measuring');
    const second = change(1, clicks(click('LT'), click('C')));
    while (men((await unsentOf(USER))[0]?.mine).length < 2) await new Promise((later) => setTimeout(later));
    await late.arrive('/measuring');
    while (sent.length < 2) await new Promise((later) => setTimeout(later));
    expect(men((await unsentOf(USER))[0]!.mine)).toEqual(['LT 1', 'C 1']);
    late.over();
    expect(await Promise.all([first, second])).toEqual([true, true]);
    expect([there(1), sent, await unsentOf(USER)]).toEqual([['LT 1', 'C 1'], ['1 on 0', '1 on 1'], []]);
  });

  it('is taken back with it when the server refuses both, and said to have been', async () => {
    const { open, change, shown, problem } = page();
    await open(1);
    await change(1, clicks(click('C')));
    answer = { status: 403, message: 'You may not.' };
    const both = [change(1, clicks(click('C'), click('LT'))), change(1, clicks(click('C'), click('LT'), click('N')))];
    expect(await Promise.all(both)).toEqual([false, false]);
    expect([men(shown.value), problem.value, await unsentOf(USER)]).toEqual([['C 1'], 'You may not.', []]);
  });
});
