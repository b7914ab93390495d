import { rmSync } from 'node:fs';
import type PgBoss from 'pg-boss';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { FilmRow } from '../../server/db/models';
import { refusalOf } from '../../server/db/refusals';
import { askFor, startQueue, stopQueue } from '../../server/jobs/queue';
import { arrive, film, folder, H264, places } from './film-files';
import { freshDatabase, makeProgram } from './fresh-database';

/** What the queue's own connection answers with, when it is not to answer. */
const trouble = vi.hoisted(() => ({ with: null as Error | null }));
vi.mock('pg-boss', async (load) => {
  const { default: Boss } = await load<{ default: typeof PgBoss }>();
  return {
    default: class extends Boss {
      constructor(options: ConstructorParameters<typeof PgBoss>[0]) {
        super(options as PgBoss.ConstructorOptions);
        const { send } = this;
        this.send = (...job: unknown[]) =>
          trouble.with ? Promise.reject(trouble.with) : (send as (...job: unknown[]) => Promise<string | null>)(...job);
      }
    },
  };
});

let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
let plain: string;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  plain = film('plain.mp4', ...H264);
});
afterEach(async () => {
  trouble.with = null;
  await stopQueue();
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});
const stateOf = async (id: number): Promise<string> => (await FilmRow.findByPk(id))!.state;

describe('the queue of film', () => {
  it('makes ready what was left when it starts, also what a process had begun', async () => {
    const [waiting, begun] = [await arrive(lanterns, plain, 'one.mp4'), await arrive(lanterns, plain, 'two.mp4')];
    await FilmRow.update({ state: 'working' }, { where: { id: begun } });
    await startQueue(db.url, places);
    for (const id of [waiting, begun]) await expect.poll(() => stateOf(id)).not.toMatch(/waiting|working/);
  });

  it('takes up a film that was noted and never asked for, as when the database went away in between', async () => {
    await startQueue(db.url, places, 200);
    const lost = await arrive(lanterns, film('lost.mp4', ...H264, '-t', '1'), 'lost.mp4');
    await expect.poll(() => stateOf(lost)).toBe('ready');
  });

  it('says that the database is away when it is', async () => {
    await startQueue(db.url, places);
    trouble.with = new Error('Connection terminated unexpectedly');
    const problem: unknown = await askFor(1).catch((p: unknown) => p);
    expect(refusalOf(problem)).toMatchObject({ statusCode: 503 });
    trouble.with = new Error('a mistake of ours');
    await expect(askFor(1)).rejects.toThrow('a mistake of ours');
  });
});
