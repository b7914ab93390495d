import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Huddle, HuddleChange, HuddleQuestion, Said } from '#core/model/huddle';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useHuddle } from './store';

const QUESTION: HuddleQuestion = {
  call: {
    ...{ scheme: 'power', side: 'right', tags: [], formationName: 'H right', frontName: 'Over', overrides: {} },
    formation: 'LT LG C RG RT Y right; H left; B left',
    front: 'LE 5 left; N 1 left; T 3 right; RE 6i right; W 30 left; M 10 right',
  },
  ...{ says: '', silent: false },
};
let kept: Huddle | null;
let server: RoutesServer;
const begun = (question: HuddleQuestion): Huddle => ({
  ...question,
  ...{ number: 1, stage: 'open', texts: [], men: [], seats: ['LT'], seat: null, said: [], mine: null },
  game: { id: 6, opponent: 'Quillport Terns', week: 6 },
});
beforeEach(() => {
  setActivePinia(createPinia());
  kept = null;
  server = serveRoutes({
    'GET /api/huddle': () => ({ huddle: kept }),
    'POST /api/huddle': ({ question }: { question: HuddleQuestion }) => void (kept = begun(question)),
    'PUT /api/huddle': ({ next, stage }: HuddleChange) => {
      if (next) kept = { ...begun(next), number: kept!.number + 1 };
      if (stage) kept = { ...kept!, stage };
    },
    'PUT /api/huddle/place': ({ seat }: { seat: string }) =>
      void (kept = { ...kept!, seat, men: [{ seat, jersey: 61, hasAnswered: false }] }),
    'PUT /api/huddle/said': ({ said }: { said: Said }) =>
      void (kept = { ...kept!, said: [...kept!.said, said], mine: said }),
    'DELETE /api/huddle': () => void (kept = null),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('the whole line together', () => {
  it('is asked, said, shown and sent home; what is said stands at once in one sentence', async () => {
    const huddle = useHuddle();
    await huddle.open(6, QUESTION);
    await huddle.sit('LT');
    const { expected } = huddle.askedOf('LT')!;
    await huddle.say({ seat: 'LT', call: expected.call, whom: expected.whom, with: [...expected.with] });
    expect(huddle.stand!.right).toEqual(['LT']);
    expect(huddle.says).toMatch(/^Still to say: /);
    await huddle.show();
    expect(huddle.huddle!.stage).toBe('shown');
    await huddle.close();
    expect([huddle.huddle, huddle.stand]).toEqual([null, null]);
  });

  it('when they move it is a new question, in which nothing has been said', async () => {
    const huddle = useHuddle();
    // Power against this front asks the same of everybody however they move; this zone does not.
    await huddle.open(6, { ...QUESTION, call: { ...QUESTION.call, scheme: 'inside-zone-z2' } });
    await huddle.say({ seat: 'LT', call: null, whom: 'LE', with: [] });
    const moved = huddle.moved!;
    expect(moved.says).not.toBe('');
    await huddle.ask(moved);
    expect([huddle.huddle!.number, huddle.huddle!.said, huddle.moved]).toEqual([2, [], null]);
  });

  it('news that comes while it is read is read once more, not as often as it came', async () => {
    const huddle = useHuddle();
    await huddle.open(6, QUESTION);
    const before = server.asked.length;
    server.slow();
    const all = [huddle.news(), huddle.news(), huddle.news(), huddle.news(), huddle.news()];
    server.answer();
    await Promise.all(all);
    expect(server.asked.slice(before).map((a) => a.what)).toEqual(['GET /api/huddle', 'GET /api/huddle']);
  });

  it('what the server refuses is said, and how it stands now is read', async () => {
    const huddle = useHuddle();
    await huddle.open(6, QUESTION);
    kept = { ...kept!, number: 4 };
    server.refuse(409, 'The huddle has gone on. Nothing was changed.');
    expect(await huddle.show()).toBe(false);
    expect([huddle.problem, huddle.huddle!.number]).toEqual(['The huddle has gone on. Nothing was changed.', 4]);
  });

  it('without a connection it says so and keeps what it knew', async () => {
    const huddle = useHuddle();
    await huddle.open(6, QUESTION);
    server.down();
    await huddle.news();
    expect(huddle.problem).toContain('it goes on as soon as there is a connection');
    expect(huddle.huddle!.number).toBe(1);
  });

  it('what was said becomes an answer of the quiz, part by part', async () => {
    const huddle = useHuddle();
    await huddle.open(6, QUESTION);
    const { expected } = huddle.askedOf('LG')!;
    const answer = huddle.asAnswer({ seat: 'LG', call: expected.call, whom: expected.whom, with: ['RT'] }, 4)!;
    expect(answer.item).toMatchObject({ scheme: 'power', seat: 'LG', frontName: 'Over' });
    expect(answer.parts).toMatchObject({ whom: true, with: false });
    expect(Object.keys(answer.parts)).not.toContain('foot');
  });

  it('in silence no word is asked for', async () => {
    const huddle = useHuddle();
    await huddle.open(6, QUESTION);
    const speaks = huddle.worked!.resolution.assignments.find((a) => a.call !== null && a.target !== null)!.blocker;
    expect(huddle.askedOf(speaks)!.words.length).toBeGreaterThan(1);
    await huddle.ask({ ...QUESTION, silent: true });
    expect(huddle.askedOf(speaks)!.words).toEqual([]);
  });
});
