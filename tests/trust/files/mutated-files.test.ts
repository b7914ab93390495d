import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import fc from 'fast-check';
import Papa from 'papaparse';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { Playbook } from '#core/calls/playbook';
import { matchColumns, readSheet, writeSheet } from '#core/film/log/sheet';
import { readRecords, writeRecords } from '#core/grade/read-records';
import { SHIPPED_RUBRIC } from '#core/grade/rubrics/index';
import { libraryIds, libraryText } from '#core/library/library';
import { anEntry } from '#core/testing/a-log';
import { csvOf, readTable } from '~/features/log/tables';
import { knownOf } from '~/features/log/book-of-calls';
import { tryRoster } from '~/features/roster/lines';
import { filmKeys, placesIn, type FilmPlaces } from '../../../server/film/places';
import { probeFilm } from '../../../server/film/tools';
import { bringCopyIn, takeCopy } from '../../../server/usecases/copies';
import { listSnaps } from '../../../server/usecases/film';
import { writeLog } from '../../../server/usecases/log';
import { addDocuments } from '../../../server/usecases/playbook';
import { addPlayers } from '../../../server/usecases/roster';
import { CALL, freshDatabase, makeProgram } from '../../integration/fresh-database';

/** So many mutated files of every kind that can be brought in; more by hand: `FILES=10000`. */
const FILES = Number(process.env.FILES ?? 8);
const SEED = 20_261_128;

let db: Awaited<ReturnType<typeof freshDatabase>>;
let home: Awaited<ReturnType<typeof makeProgram>>;
let folder: string;
let places: FilmPlaces;
beforeAll(async () => {
  db = await freshDatabase();
  home = await makeProgram('Lanterns');
  folder = await mkdtemp(join(tmpdir(), 'violet-chalk-files-'));
  places = placesIn(join(folder, 'film'));
});
afterAll(async () => {
  await db.drop();
  await rm(folder, { recursive: true, force: true });
});
/** Which took longest, of each kind: said, and judged by whoever reads it. */
let slowest = 0;
afterEach(({ task }) => {
  process.stdout.write(`${task.name}: the slowest of ${FILES} took ${Math.round(slowest)} ms\n`);
  slowest = 0;
});

const oddBytes = fc.constantFrom(
  '\0',
  '"',
  ',',
  '\n',
  '\r',
  '\uFEFF',
  '=1+1',
  '😀',
  "';",
  '\t',
  'NaN',
  '9'.repeat(300),
  '{',
);
type Change =
  | { readonly is: 'flip'; readonly at: number; readonly with: number }
  | { readonly is: 'cut'; readonly at: number }
  | { readonly is: 'put in'; readonly at: number; readonly what: string }
  | { readonly is: 'twice'; readonly at: number; readonly length: number };
const place = fc.double({ min: 0, max: 1, noNaN: true });
const change: fc.Arbitrary<Change> = fc.oneof(
  fc.record({ is: fc.constant('flip' as const), at: place, with: fc.integer({ min: 1, max: 255 }) }),
  fc.record({ is: fc.constant('cut' as const), at: place }),
  fc.record({ is: fc.constant('put in' as const), at: place, what: oddBytes }),
  fc.record({ is: fc.constant('twice' as const), at: place, length: fc.integer({ min: 1, max: 400 }) }),
);

/** What damage, another program or somebody who means no good makes of a file. */
function changed(file: Buffer, { at: share, ...how }: Change): Buffer {
  const at = Math.min(file.length - 1, Math.floor(share * file.length));
  const [before, after] = [file.subarray(0, at), file.subarray(at)];
  if (how.is === 'cut') return before;
  if (how.is === 'put in') return Buffer.concat([before, Buffer.from(how.what), after]);
  if (how.is === 'twice') return Buffer.concat([before, after.subarray(0, how.length), after]);
  const flipped = Buffer.from(file);
  flipped[at] = flipped[at]! ^ how.with;
  return flipped;
}

/** Brings mutated files in as the screen and the server do: each is taken, or refused in a sentence; nothing else comes of it. */
async function bringAllIn(files: readonly Buffer[], bringIn: (file: Buffer) => Promise<string | null>): Promise<void> {
  const cases = fc.sample(fc.tuple(fc.constantFrom(...files), fc.array(change, { minLength: 1, maxLength: 3 })), {
    numRuns: FILES,
    seed: SEED,
  });
  for (const [file, changes] of cases) {
    const mutated = changes.reduce((f, c) => (f.length ? changed(f, c) : f), file);
    const since = performance.now();
    let says: string | null;
    try {
      says = await bringIn(mutated);
    } catch (problem) {
      const { statusCode, message } = problem as { statusCode?: number; message: string };
      expect(statusCode ?? 500, `${JSON.stringify(changes)}: ${message}`).toBeLessThan(500);
      says = message;
    }
    slowest = Math.max(slowest, performance.now() - since);
    // A sentence, or what is wrong with one cell of it.
    if (says !== null) expect(says, JSON.stringify(changes)).toMatch(/\w+ \w+/);
  }
}
/** As the screen reads a file somebody chose. */
const tableOf = (bytes: Buffer, most?: { rows: number; of: string }) =>
  readTable(new File([new Uint8Array(bytes)], 'a table.csv'), most);
const first = (problems: readonly { says: string }[]): string | null => problems[0]?.says ?? null;

describe('files that are damaged, or of somebody who means no good', { timeout: 60_000 + FILES * 4_000 }, () => {
  it('logs of a game', async () => {
    const log = Array.from({ length: 30 }, (_, i) => anEntry(i + 1, CALL, { gain: i % 9 }));
    const known = knownOf({ book: new Playbook() } as Parameters<typeof knownOf>[0]);
    await bringAllIn(
      [Buffer.from(csvOf(log)), Buffer.from(Papa.unparse(writeSheet(log), { delimiter: '\t' }))],
      async (file) => {
        const { table, problem } = await tableOf(file);
        if (!table) return problem;
        const read = readSheet(table.headings, table.rows, matchColumns(table.headings), {
          known,
          log: [],
          first: CALL,
        });
        if (read.entries.length === 0) return first(read.problems);
        const { members, gameId } = home;
        await writeLog(members.assistant, gameId, { entries: [...read.entries], confirmed: true, dryRun: true });
        return first(read.problems);
      },
    );
  });

  it('rosters', async () => {
    const men = [
      'number,name,position',
      ...Array.from({ length: 40 }, (_, i) => `${i + 50},Player ${i},${['C', 'LG', 'RT'][i % 3]!}`),
    ];
    await bringAllIn(
      [Buffer.from(men.join('\n')), Buffer.from(men.slice(1).join('\r\n').replaceAll(',', ';'))],
      async (file) => {
        const { players, problems } = tryRoster(file.toString(), []);
        if (players.length) await addPlayers(home.members.coach, players);
        return first(problems);
      },
    );
  });

  it('grades', async () => {
    const snaps = await listSnaps(home.members.coach, home.gameId);
    const sheet = [
      ['snap', 'place', 'assignment', 'technique', 'note'],
      ...snaps.flatMap((s) => s.asked.map((a) => [String(s.number), a.blocker, 'right', 'plus', 'as asked'])),
    ];
    const whole = writeRecords([], []);
    await bringAllIn([Buffer.from(Papa.unparse(sheet)), Buffer.from(Papa.unparse(whole))], async (file) => {
      const { table, problem } = await tableOf(file, { rows: 4400, of: 'marks' });
      if (!table) return problem;
      return first(readRecords(table.headings, table.rows, { snaps, rubric: SHIPPED_RUBRIC, own: [] }).problems);
    });
  });

  it('sheets, fronts, formations, spaces and drills', async () => {
    const shelves = ['schemes', 'fronts', 'formations', 'spaces', 'drills'] as const;
    for (const shelf of shelves) {
      const files = libraryIds(shelf).map((id) => Buffer.from(libraryText(shelf, id)!));
      await bringAllIn(files, async (file) => {
        const text = file.toString();
        if (text === '') return 'nothing was chosen';
        await addDocuments(home.members.coach, [{ shelf, text }], true);
        return null;
      });
    }
  });

  it('copies of a program', async () => {
    const copy = await buffer(await takeCopy(home.members.coach, false, places));
    const { userId } = home.members.coach;
    await bringAllIn([copy], async (file) => {
      await bringCopyIn(userId, Readable.from([file]), places);
      return null;
    });
  });

  it('films', async () => {
    const clip = await readFile('demo/film/snap-01-end-zone.webm');
    const at = join(folder, filmKeys({ id: 1, programId: 1, name: 'x.webm' }).original.replaceAll('/', '-'));
    await bringAllIn([clip], async (file) => {
      await writeFile(at, file);
      const probed = await probeFilm(at);
      return probed.ok ? null : probed.problem;
    });
  });
});
