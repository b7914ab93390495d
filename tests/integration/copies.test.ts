import { createWriteStream } from 'node:fs';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import archiver from 'archiver';
import fc from 'fast-check';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PracticeWeekSchema, withMen } from '#core/model/practice';
import { DEMO_SNAPS } from '#demo/scenario';
import { SCOUTED_SNAPS } from '#demo/scouted';
import { PLAYED_GAMES } from '#demo/season';
import { COPIED, NOT_COPIED, type Row } from '../../server/copy/tables';
import { unpackCopy, type Unpacked } from '../../server/copy/unpack';
import { ClipRow, MembershipRow, ProgramRow, UserRow } from '../../server/db/models';
import { filmKeys, placesIn, type FilmPlaces } from '../../server/film/places';
import { findMember, type Member } from '../../server/session/member';
import { readBook } from '../../server/usecases/book';
import { bringCopyIn, takeCopy } from '../../server/usecases/copies';
import { loadDemo } from '../../server/usecases/load-demo';
import { freshDatabase, makeProgram } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let folder: string;
let places: FilmPlaces;
let coach: Member;
let stranger: Member;
let zip: string;
let copy: Unpacked;
beforeAll(async () => {
  db = await freshDatabase();
  folder = await mkdtemp(join(tmpdir(), 'copies-'));
  places = placesIn(join(folder, 'film'));
  await loadDemo({ enterable: true });
  stranger = (await makeProgram('Terns')).members.coach;
  const { id: programId } = (await ProgramRow.findOne({ where: { demo: true } }))!;
  coach = (await findMember(1, programId))!;
  // One clip has its file, one film of its own stands behind another; the rest were never kept.
  const [loose, filmed] = await ClipRow.findAll({ where: { programId }, order: [['id', 'ASC']], limit: 2 });
  await writeAt(loose!.file, 'a loose clip');
  const film = { programId, name: 'week-5.mp4', kind: 'own game', state: 'ready', bytes: '5', gameId: null, userId: 1 };
  const [row] = await db.sequelize.query<{ id: number }>(
    `insert into films (program_id, upload, name, kind, state, bytes, user_id) values ($1, 'p1-x', $2, $3, $4, 5, 1) returning id`,
    { bind: [programId, film.name, film.kind, film.state], type: QueryTypes.SELECT },
  );
  const keys = filmKeys({ id: row!.id, programId, name: film.name });
  await db.sequelize.query('update films set body = $1 where id = $2', {
    bind: [
      JSON.stringify({ progress: 1, original: keys.original, playable: keys.written, still: keys.still }),
      row!.id,
    ],
  });
  for (const key of [keys.original, keys.written, keys.still]) await writeAt(key, `film ${key}`);
  await filmed!.update({ file: keys.written, filmId: row!.id });
  zip = await fileOf(await takeCopy(coach, true, places));
  copy = await unpackCopy(zip, join(folder, 'once'));
});
afterAll(async () => {
  await db.drop();
  await rm(folder, { recursive: true, force: true });
});

async function writeAt(key: string, text: string): Promise<void> {
  const file = join(folder, `adopt-${key.replaceAll('/', '-')}`);
  await writeFile(file, text);
  await places.storage.adopt(file, key);
}
async function fileOf(stream: Readable): Promise<string> {
  const file = join(folder, `${Math.random()}.zip`);
  await pipeline(stream, createWriteStream(file));
  return file;
}
const bring = async (bytes: Buffer, userId = stranger.userId) => bringCopyIn(userId, Readable.from([bytes]), places);
const programs = (): Promise<number> => ProgramRow.count();

/** A copy without what is only a number in it: references by what they point to. */
function withoutNumbers({ tables, people }: Unpacked): Record<string, unknown[]> {
  const places = new Map(COPIED.map(({ name }) => [name, new Map(tables.get(name)!.map((r, i) => [r.id, i]))]));
  const said = (of: string, id: unknown): unknown =>
    of === 'users' ? (people.find((p) => p.id === id)?.name ?? id) : (places.get(of)!.get(id as number) ?? null);
  return Object.fromEntries(
    COPIED.filter((t) => t.name !== 'audit').map(({ name, refs }) => [
      name,
      tables.get(name)!.map(({ id: _id, program_id: _p, upload: _u, file, lineup, ...row }: Row) => ({
        ...Object.fromEntries(
          Object.entries(row).map(([column, value]) => [column, refs[column] ? said(refs[column], value) : value]),
        ),
        ...(lineup === undefined
          ? {}
          : {
              lineup: JSON.parse(JSON.stringify(lineup), (key, v: unknown) =>
                key === 'playerId' ? said('players', v) : v,
              ),
            }),
        ...(file === undefined ? {} : { file: file !== '' }),
        ...(name === 'films' ? { body: null } : {}),
        // Men of a practice by their places in the roster.
        ...(row.part === 'practice'
          ? { body: withMen(PracticeWeekSchema.parse(row.body), (man) => said('players', man) as number) }
          : {}),
      })),
    ]),
  );
}

describe('a copy of a program', () => {
  it('holds every table of a program, or says why not', async () => {
    const rows = await db.sequelize.query<{ table: string }>(
      `select table_name as "table" from information_schema.columns where table_schema = 'public' and column_name = 'program_id'`,
      { type: QueryTypes.SELECT },
    );
    expect(rows.map((r) => r.table).sort()).toEqual([...COPIED.map((t) => t.name), ...NOT_COPIED].sort());
  });

  it('comes back whole: taken out, brought in and taken out again it is the same', async () => {
    const { programId, name, counts } = await bring(await readFile(zip));
    expect([name, counts.grades]).toEqual(['Larkhollow Lanterns', copy.tables.get('grades')!.length]);
    const member = (await findMember(stranger.userId, programId))!;
    expect(member.role).toBe('coach');
    const again = await unpackCopy(await fileOf(await takeCopy(member, true, places)), join(folder, 'twice'));
    const [before, after] = [withoutNumbers(copy), withoutNumbers(again)];
    for (const { name: table } of COPIED.filter((t) => !['audit', 'clips'].includes(t.name)))
      expect(after[table], table).toEqual(before[table]);
    expect(again.film.size).toBe(copy.film.size);
    expect(await bookOf(member)).toEqual(await bookOf(coach));
  });

  it('brings its film to where the program’s film lies', async () => {
    const { programId } = await bring(await readFile(zip));
    const clips = await ClipRow.findAll({ where: { programId }, order: [['id', 'ASC']] });
    const kept = clips.filter((c) => c.file !== '');
    expect(kept.map((c) => c.file.startsWith(`p${programId}/`))).toEqual([true, true]);
    const texts = await Promise.all(kept.map(async (c) => readFile(await places.storage.localFile(c.file), 'utf8')));
    expect(texts[0]).toBe('a loose clip');
    expect(texts[1]).toMatch(/^film p\d+\/\d+\.mp4$/);
  });

  it('without film is one without pictures', async () => {
    const bare = await fileOf(await takeCopy(coach, false, places));
    const { programId } = await bring(await readFile(bare));
    expect(await ClipRow.count({ where: { programId, file: '' } })).toBe(await ClipRow.count({ where: { programId } }));
  });

  it('makes no account of anybody and lets nobody in', async () => {
    const before = await MembershipRow.count();
    const { programId } = await bring(await readFile(zip));
    expect(await MembershipRow.count()).toBe(before + 1);
    const users = await UserRow.findAll({ where: { name: 'Theo Brandt' } });
    expect(users.some((u) => u.email.endsWith('@from-a-copy.invalid'))).toBe(true);
    expect((await MembershipRow.findOne({ where: { programId } }))!.userId).toBe(stranger.userId);
  });

  it('holds nobody’s password and nothing of another program', async () => {
    const texts = JSON.stringify([copy.people, [...copy.tables]]);
    expect(texts).not.toContain('scrypt');
    expect(texts).not.toContain('Terns coach');
    expect(copy.tables.get('seasons')!.every((s) => s.program_id === coach.programId)).toBe(true);
  });

  it('is read by people too', async () => {
    const names: string[] = [];
    const { default: yauzl } = await import('yauzl');
    await new Promise<void>((done) =>
      yauzl.open(zip, (_problem, file) => {
        file.on('entry', (e: { fileName: string }) => names.push(e.fileName));
        file.on('end', () => done());
      }),
    );
    expect(names).toContain('README.txt');
    expect(names).toContain('playbook/schemes/power-lantern.chalk');
  });
});

const bookOf = async (member: Member) => {
  const { lines, total } = await readBook(member, 'block', {});
  return { lines: lines.map(({ key, marks, counts }) => [key, marks, counts]), total: total.counts };
};

/** The zip again with some of its files changed. */
async function changed(change: Record<string, (text: string) => string | null>): Promise<Buffer> {
  const out = archiver('zip');
  const files: Record<string, string> = {
    'program.json': JSON.stringify(copy.head),
    'people.json': JSON.stringify(copy.people),
  };
  for (const [table, rows] of copy.tables)
    files[`tables/${table}.jsonl`] = rows.map((r) => `${JSON.stringify(r)}\n`).join('');
  for (const [name, text] of Object.entries(files)) {
    const now = (change[name] ?? ((t: string) => t))(text);
    if (now !== null) out.append(now, { name });
  }
  void out.finalize();
  return readFile(await fileOf(out));
}

/** Snaps of the demo, all its games together. */
const SNAPS = PLAYED_GAMES.reduce((sum, game) => sum + game.snaps, DEMO_SNAPS.length + SCOUTED_SNAPS.length);

describe('what is no copy', () => {
  it.each<[string, Record<string, (text: string) => string | null>, string]>([
    ['another kind of file', { 'program.json': () => null }, 'There is no program.json in it'],
    ['another format', { 'program.json': (t) => t.replace('violet-chalk-program', 'x') }, 'program.json, format'],
    ['a newer version', { 'program.json': (t) => t.replace(/0\d\d\d-/, '9999-') }, 'from a newer version'],
    [
      'a broken line',
      { 'tables/snaps.jsonl': (t) => `${t}{"id":` },
      `snaps.jsonl, line ${SNAPS + 1} is not valid JSON`,
    ],
    [
      'a body nobody can read',
      { 'tables/grades.jsonl': (t) => t.replace('"right"', '"maybe"') },
      'grades.jsonl, line 1, body',
    ],
    [
      'a stranger’s row',
      { 'tables/games.jsonl': (t) => t.replace(/"season_id":\d+/, '"season_id":999') },
      'season_id names seasons 999',
    ],
    [
      'a game of nobody’s',
      { 'tables/games.jsonl': (t) => t.replace(/"theirs":null/, '"theirs":7') },
      'games.jsonl, line 1, theirs',
    ],
    [
      'a column there is none of',
      { 'tables/players.jsonl': (t) => t.replace('"seat"', '"seat\\"; drop"') },
      'there is no column',
    ],
    [
      'a number out of reach',
      { 'tables/players.jsonl': (t) => t.replace(/"number":\d+/, '"number":5000') },
      'players.jsonl, line 1, number',
    ],
    [
      'a shelf there is none of',
      { 'tables/documents.jsonl': (t) => t.replace('"fronts"', '"cellar"') },
      'documents.jsonl, line 1, shelf',
    ],
    [
      'a moment that is none',
      { 'tables/grades.jsonl': (t) => t.replace(/"changed_at":"[^"]*"/, '"changed_at":"noon"') },
      'does not fit',
    ],
    [
      'a character nobody can keep',
      { 'tables/cuts.jsonl': (t) => t.replace('"name":"', '"name":"\\u0000') },
      'cuts.jsonl, line 1',
    ],
  ])('is refused with its place, and nothing of it stays: %s', async (_what, change, says) => {
    const before = [await programs(), await UserRow.count(), (await readdir(places.writing)).length];
    await expect(bring(await changed(change))).rejects.toThrow(says);
    expect([await programs(), await UserRow.count(), (await readdir(places.writing)).length]).toEqual(before);
  });

  it('is refused whatever bytes it is, and nothing of it stays', async () => {
    const whole = await readFile(zip);
    const before = await programs();
    await expect(bring(whole.subarray(0, whole.length - 300))).rejects.toMatchObject({ statusCode: 400 });
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 300 }), async (bytes) => {
        await expect(bring(Buffer.from(bytes))).rejects.toMatchObject({ statusCode: 400 });
      }),
      { numRuns: 20 },
    );
    expect(await programs()).toBe(before);
  });

  it('is refused in a sentence wherever its packing is broken', async () => {
    const whole = await readFile(zip);
    let refused = 0;
    for (let part = 1; part < 60; part++) {
      const file = Buffer.from(whole);
      const at = Math.floor((part * file.length) / 60);
      for (const [i, flip] of [153, 244, 197].entries()) file[at + i] = file[at + i]! ^ flip;
      const place = join(folder, `flipped-${part}.zip`);
      await writeFile(place, file);
      await unpackCopy(place, join(folder, 'flipped')).catch((problem: { statusCode?: number; message: string }) => {
        refused++;
        expect(problem.statusCode, problem.message).toBe(400);
      });
    }
    expect(refused).toBeGreaterThan(20);
  });

  it('cannot write outside the program’s film', async () => {
    const out = archiver('zip');
    out.append(JSON.stringify(copy.head), { name: 'program.json' });
    out.append('[]', { name: 'people.json' });
    out.append('x', { name: 'film/evil/../../../outside' });
    void out.finalize();
    const bytes = await readFile(await fileOf(out));
    await bring(bytes).catch(() => null);
    expect(await readdir(folder)).not.toContain('outside');
    expect(await readdir(tmpdir())).not.toContain('outside');
  });
});
