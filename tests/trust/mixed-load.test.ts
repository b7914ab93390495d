import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { Installation } from './own-installation';

/** How long everybody is at work at once, minutes; longer by hand: `MINUTES=60`. */
const MINUTES = Number(process.env.MINUTES ?? 0.2);
/** A run this long or longer is judged by the memory it takes; in a shorter one what is kept on purpose is still filling. */
const LONG_ENOUGH = 10;
/** The time is looked at in so many parts: the smallest use of a part is what stays when what is not needed has gone. */
const PARTS = 10;
const MOST_GROWTH = 1.15;
/** Between two things one person does, ms. */
const PAUSE = 120;
const GRADE = { rubric: 'plus-minus@1', counts: true, assignment: 'right', technique: 'plus' };

let home: Installation;
test.beforeAll(async () => {
  home = await Installation.make('load-cluster', true);
});
test.afterAll(() => home.stop());

interface Snap {
  id: number;
  asked: { blocker: string }[];
}

/** What one person did, and how it was answered. */
class Person {
  done = 0;
  readonly refused: string[] = [];
  private cookie = '';
  constructor(readonly role: string) {}

  async logIn(): Promise<void> {
    this.cookie = await home.logIn(this.role);
    this.done++;
  }

  async read<T>(path: string, headers: Record<string, string> = {}): Promise<T> {
    const answer = await fetch(home.at + path, { headers: { cookie: this.cookie, ...headers } });
    const body = Buffer.from(await answer.arrayBuffer());
    this.note('GET', path, answer.status);
    return (answer.headers.get('content-type') ?? '').includes('json') ? JSON.parse(body.toString()) : body;
  }

  async write(method: string, path: string, body?: unknown): Promise<void> {
    const answer = await fetch(home.at + path, {
      method,
      headers: { cookie: this.cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
      body: body ? JSON.stringify(body) : null,
    });
    await answer.arrayBuffer();
    this.note(method, path, answer.status);
  }

  /** Two who grade one man at once: the second is told so, and looks again. */
  async grade(snap: Snap, at: number): Promise<void> {
    const seen = await this.read<{ revision: number; grades: { blocker: string; revision: number }[] }>(
      `/api/snaps/${snap.id}`,
    );
    const { blocker } = snap.asked[at % snap.asked.length]!;
    const base = seen.grades.find((g) => g.blocker === blocker)?.revision ?? 0;
    const said = { finish: null, points: null, phases: {}, outcome: null, facts: [], faults: [], note: `mark ${at}` };
    await this.write('PUT', `/api/snaps/${snap.id}/grades`, {
      sheet: 'program',
      snapRevision: seen.revision,
      entries: [{ entry: randomUUID(), blocker, base, follows: [], grade: { ...GRADE, ...said } }],
    });
  }

  private note(method: string, path: string, status: number): void {
    this.done++;
    if (status >= 400 && status !== 409) this.refused.push(`${method} ${path}: ${status}`);
  }
}

test('two who grade, one who shows film to the room, one who plans, players at their quiz: nothing fails, and no memory is kept', async () => {
  test.setTimeout(120_000 + MINUTES * 90_000);
  const [first, second, presenter, planner] = ['coach', 'assistant', 'coach', 'assistant'].map((r) => new Person(r));
  const [player, reader] = [new Person('player'), new Person('reader')];
  const all = [first!, second!, presenter!, planner!, player, reader];
  for (const person of all) await person.logIn();
  const game = (await first!.read<{ id: number; opponent: string }[]>('/api/games')).find(
    (g) => g.opponent === 'Fennick Otters',
  )!;
  const snaps = await first!.read<Snap[]>(`/api/games/${game.id}/snaps`);
  const works: Record<string, (turn: number) => Promise<unknown>> = {
    grading: (turn) => first!.grade(snaps[turn % snaps.length]!, turn),
    'grading too': (turn) => second!.grade(snaps[(turn * 3) % snaps.length]!, turn),
    presenting: async (turn) => {
      const { clips } = await presenter!.read<{ clips: { id: number }[] }>(
        `/api/snaps/${snaps[turn % snaps.length]!.id}`,
      );
      for (const { id } of clips) await presenter!.read(`/api/clips/${id}`, { range: 'bytes=0-99999' });
    },
    planning: (turn) =>
      planner!.read(
        [`/api/weeks/${game.id}`, '/api/book?by=block', '/api/book/plays?by=front', '/api/playbook', '/'][turn % 5]!,
      ),
    asking: (turn) => player.read(['/api/mine', '/api/quiz', '/api/book?by=phase', '/api/huddle'][turn % 4]!),
    reading: async (turn) => {
      await reader.read(['/api/playbook', '/api/program', '/walkthrough'][turn % 3]!);
      if (turn % 50 === 49) {
        await reader.write('DELETE', '/api/session');
        await reader.logIn();
      }
    },
  };
  const until = Date.now() + MINUTES * 60_000;
  const heap: number[] = [];
  const resident: number[] = [];
  const busy = Object.values(works).map(async (work) => {
    for (let turn = 0; Date.now() < until; turn++) {
      await work(turn);
      await new Promise((soon) => setTimeout(soon, PAUSE));
    }
  });
  const watching = (async () => {
    while (Date.now() < until) {
      heap.push(await home.figure('nodejs_heap_size_used_bytes'));
      resident.push(await home.figure('process_resident_memory_bytes'));
      await new Promise((soon) => setTimeout(soon, Math.max(200, MINUTES * 100)));
    }
  })();
  await Promise.all([...busy, watching]);
  expect(all.flatMap((p) => p.refused)).toEqual([]);
  expect(heap.length).toBeGreaterThan(PARTS);
  const part = (figures: readonly number[], i: number): number =>
    Math.min(
      ...figures.slice(Math.floor((i * figures.length) / PARTS), Math.floor(((i + 1) * figures.length) / PARTS)),
    );
  const MB = (bytes: number): number => Math.round(bytes / 1e6);
  const parts = [...Array(PARTS).keys()];
  process.stdout.write(
    `${all.reduce((n, p) => n + p.done, 0)} requests in ${MINUTES} min; heap ${parts.map((i) => MB(part(heap, i))).join(' ')} MB, resident ${parts.map((i) => MB(part(resident, i))).join(' ')} MB\n`,
  );
  if (MINUTES >= LONG_ENOUGH) expect(part(heap, PARTS - 1)).toBeLessThan(part(heap, 1) * MOST_GROWTH);
});
