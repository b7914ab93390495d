import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FindingSchema, NOTHING_FOUND, type Finding } from '#core/model/finding';
import { ALL_PLUS } from '#core/model/grade';
import { useFilm } from '~/features/film/store';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { aSnap } from '~/testing/a-snap';
import { refusal } from '~/testing/marks-server';
import { useFinding } from './store';

/** What is kept of each snap, with its revision. */
let kept: Map<number, { revision: number; finding: Finding }>;
let reachable: boolean;
let held: (() => void)[] | null;

beforeEach(() => {
  setActivePinia(createPinia());
  [kept, reachable, held] = [new Map(), true, null];
  useSession().member = aMember();
  vi.stubGlobal(
    '$fetch',
    async (url: string, { method, body }: { method: string; body: { revision: number; finding: Finding } }) => {
      if (held) await new Promise<void>((go) => held!.push(go));
      if (!reachable) throw new Error('connection refused');
      const id = Number(/\d+/.exec(url)![0]);
      const there = kept.get(id) ?? { revision: 0, finding: NOTHING_FOUND };
      if (method === 'GET') return structuredClone(there);
      if (body.revision !== there.revision) throw refusal(409, 'Somebody else has written down what happened.');
      kept.set(id, { revision: there.revision + 1, finding: FindingSchema.parse(structuredClone(body.finding)) });
      return { revision: there.revision + 1 };
    },
  );
});
afterEach(() => vi.unstubAllGlobals());

async function opened(id = 21): Promise<ReturnType<typeof useFinding>> {
  useFilm().snap = aSnap(id);
  const found = useFinding();
  await found.open(id);
  return found;
}
const free = (id = 21) => kept.get(id)!.finding.free;

describe('what happened on a snap', () => {
  it('is opened, and a man who came free stands with whose he was', async () => {
    const found = await opened();
    expect(await found.free('N')).toBe(true);
    expect(free()).toEqual([
      expect.objectContaining({ defender: 'N', verdict: null, rule: expect.objectContaining({ kind: 'one' }) }),
    ]);
    await found.judge('N', { verdict: 'changed', charged: ['LG'] });
    expect(free()[0]).toMatchObject({ verdict: 'changed', charged: ['LG'] });
    await found.free('N');
    expect(free()).toEqual([]);
  });

  it('is asked about with its front, and taken back', async () => {
    const found = await opened();
    await found.free('T');
    await found.askRule('T', 'Whose is he when he slants?');
    expect(kept.get(21)!.finding.questions).toEqual([{ about: 'T', text: 'Whose is he when he slants?' }]);
    expect(free()[0]!.verdict).toBe('asked');
    await found.dropQuestion(0);
    expect(kept.get(21)!.finding.questions).toEqual([]);
  });

  it('is kept one change after the other, however slow the server is: none goes out with what the one before has changed', async () => {
    const found = await opened();
    held = [];
    const both = [found.free('T'), found.askRule('T', 'Whose is he?')];
    await expect.poll(() => held).toHaveLength(1);
    expect(found.finding.questions).toHaveLength(1);
    held[0]!();
    await expect.poll(() => held).toHaveLength(2);
    held[1]!();
    expect(await Promise.all(both)).toEqual([true, true]);
    expect(kept.get(21)).toMatchObject({ revision: 2, finding: { questions: [{ about: 'T' }] } });
  });

  it('stands as the server has it when both of two changes are refused', async () => {
    const found = await opened();
    await found.free('N');
    held = [];
    const both = [found.free('T'), found.askRule('T', 'Whose is he?')];
    await expect.poll(() => held).toHaveLength(1);
    kept.set(21, { ...kept.get(21)!, revision: 9 });
    held[0]!();
    await expect.poll(() => held).toHaveLength(2);
    held[1]!();
    expect(await Promise.all(both)).toEqual([false, false]);
    expect(found.finding.free.map((f) => f.defender)).toEqual(['N']);
    expect(found.finding.questions).toEqual([]);
    expect(found.problem).toContain('Somebody else');
  });

  it('says how it went wrong as the marks do, until the coach has said', async () => {
    const found = await opened();
    expect(found.proposed).toBeNull();
    useFilm().marks = { RG: { ...ALL_PLUS, technique: 'minus', faults: ['no-movement'] }, LT: ALL_PLUS };
    expect(found.proposed).toMatchObject({ root: 'RG', verdict: null });
    await found.setCause({ ...found.proposed!, verdict: 'accepted' });
    useFilm().marks = {};
    expect(found.finding.cause).toMatchObject({ root: 'RG', verdict: 'accepted' });
  });

  it('keeps what backs decided apart, one mark each, and the same again takes it away', async () => {
    const found = await opened();
    await found.setRead({ seat: 'B', read: 'cut', mark: 'wrong', note: '' });
    await found.setRead({ seat: 'QB', read: 'give', mark: 'right', note: '' });
    await found.setRead({ seat: 'B', read: 'cut', mark: 'right', note: '' });
    const said = () => kept.get(21)!.finding.reads.map((r) => `${r.seat} ${r.read} ${r.mark}`);
    expect(said()).toEqual(['QB give right', 'B cut right']);
    await found.setRead({ seat: 'B', read: 'cut', mark: 'right', note: '' });
    expect(said()).toEqual(['QB give right']);
  });

  it('is not overwritten when somebody else has written it meanwhile: what was there before stands again', async () => {
    const found = await opened();
    kept.set(21, { revision: 4, finding: NOTHING_FOUND });
    expect(await found.free('N')).toBe(false);
    expect([found.problem, found.finding]).toEqual(['Somebody else has written down what happened.', NOTHING_FOUND]);
  });

  it('stands again when the server cannot be reached, and nothing is written before it was read', async () => {
    const found = await opened();
    reachable = false;
    expect(await found.free('N')).toBe(false);
    expect([found.finding.free, found.problem]).toEqual([[], 'The server cannot be reached.']);
    await found.open(21);
    expect(found.loaded).toBeNull();
    reachable = true;
    expect(await found.free('N')).toBe(false);
    expect(kept.size).toBe(0);
  });

  it('of a snap that was left meanwhile is not shown with another', async () => {
    const found = await opened();
    await found.free('N');
    held = [];
    const late = found.open(21);
    await expect.poll(() => held).toHaveLength(1);
    const waiting = held;
    held = null;
    useFilm().snap = aSnap(22);
    await found.open(22);
    waiting[0]!();
    await late;
    expect([found.loaded, found.finding]).toEqual([22, NOTHING_FOUND]);
  });
});
