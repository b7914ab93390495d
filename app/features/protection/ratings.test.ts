import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ProgramBody } from '#core/model/program';
import { usePlaybook } from '~/features/playbook/store';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useRatings } from './ratings';

let program: ProgramBody;
let server: RoutesServer;
beforeEach(async () => {
  setActivePinia(createPinia());
  program = { plays: ['power'] };
  server = serveRoutes({
    'GET /api/playbook': () => [],
    'GET /api/program': () => program,
    'PUT /api/program': (change: ProgramBody) => (program = { ...program, ...change }),
  });
  await usePlaybook().load();
});
afterEach(() => vi.unstubAllGlobals());

describe('ratings of men', () => {
  it('two typed while the server is slow both reach it, and nothing else of the program changes', async () => {
    const { ratings, rate } = useRatings();
    server.slow();
    const both = [rate('ours', 'LT', 4), rate('theirs', 'RE', 5)];
    expect(ratings()).toEqual({ ours: { LT: 4 }, theirs: { RE: 5 } });
    server.answer();
    await Promise.all(both);
    expect(program).toEqual({ plays: ['power'], ratings: { ours: { LT: 4 }, theirs: { RE: 5 } } });
  });

  it('one taken away is gone; one that is refused is as before', async () => {
    const { ratings, rate } = useRatings();
    await rate('ours', 'LT', 4);
    await rate('ours', 'LT', null);
    expect(program.ratings!.ours).toEqual({});
    server.refuse(403, 'Only the line coach.');
    await expect(rate('ours', 'RG', 2)).rejects.toThrow('Only the line coach.');
    expect(ratings().ours).toEqual({});
  });
});
