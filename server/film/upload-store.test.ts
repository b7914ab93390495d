import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { Upload } from '@tus/utils';
import fc from 'fast-check';
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { UploadStore } from './upload-store';

type Done = (problem: Error | null, bytes: number) => void;
/** What the disk takes of one write, bytes; and what it says instead of taking it. */
const disk = { takes: Infinity, says: null as Error | null };

vi.mock('node:fs', async (original) => {
  const real = await original<typeof import('node:fs')>();
  return {
    ...real,
    writev: (file: number, pieces: Uint8Array[], at: number, done: Done) => {
      if (disk.says) return setImmediate(() => done(disk.says, 0));
      const taken = Buffer.concat(pieces).subarray(0, disk.takes);
      return real.write(file, taken, 0, taken.length, at, (problem, bytes) => done(problem, bytes));
    },
  };
});

const directory = mkdtempSync(join(tmpdir(), 'upload-store-'));
afterAll(() => rmSync(directory, { recursive: true }));
beforeEach(() => Object.assign(disk, { takes: Infinity, says: null }));

const store = new UploadStore({ directory });
let uploads = 0;
async function begin(size: number): Promise<{ id: string; written: () => Buffer }> {
  const id = `film-${++uploads}`;
  await store.create(new Upload({ id, size, offset: 0 }));
  return { id, written: () => readFileSync(join(directory, id)) };
}
/** What a connection brings: each piece with memory of its own. */
const sent = (pieces: readonly Uint8Array[]): Readable =>
  Readable.from(pieces.map((piece) => Buffer.from(new Uint8Array(piece).buffer)));

describe('an upload on the disk', () => {
  it('is what was sent, part after part, however little the disk takes at once', async () => {
    const pieces = fc.array(fc.uint8Array({ minLength: 1, maxLength: 300 }), { maxLength: 20, size: 'max' });
    await fc.assert(
      fc.asyncProperty(
        fc.array(pieces, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 20, max: 400 }),
        async (parts, takes) => {
          disk.takes = takes;
          const all = Buffer.concat(parts.flat());
          const { id, written } = await begin(all.length);
          let offset = 0;
          for (const part of parts) offset = await store.write(sent(part), id, offset);
          expect(offset).toBe(all.length);
          expect(written()).toEqual(all);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('gives the memory back of what was written', async () => {
    const pieces = Array.from({ length: 40 }, () => Buffer.alloc(65_536, 'film'));
    const { id, written } = await begin(40 * 65_536);
    await store.write(Readable.from(pieces), id, 0);
    expect(pieces.map((piece) => piece.length)).toEqual(pieces.map(() => 0));
    expect(written().equals(Buffer.alloc(40 * 65_536, 'film'))).toBe(true);
  });

  it('keeps what had come where the sender breaks off, and says that it did not go through', async () => {
    const { id, written } = await begin(1000);
    const breaking = new Readable({ read: () => undefined });
    const writing = store.write(breaking, id, 0);
    breaking.push(Buffer.from('the first half'));
    while (written().length === 0) await new Promise((turn) => setImmediate(turn));
    breaking.destroy(new Error('reset'));
    await expect(writing).rejects.toMatchObject({ status_code: 500 });
    expect(written().toString()).toBe('the first half');
  });

  it('is given up where the disk takes nothing and does not say why', async () => {
    disk.takes = 0;
    const { id } = await begin(1000);
    await expect(store.write(sent([Buffer.from('one')]), id, 0)).rejects.toMatchObject({ status_code: 500 });
  });

  it('tells a full disk as what it is', async () => {
    disk.says = Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
    const { id, written } = await begin(1000);
    for (const pieces of [[Buffer.from('one')], [Buffer.from('one'), Buffer.from('two')]])
      await expect(store.write(sent(pieces), id, 0)).rejects.toMatchObject({ code: 'ENOSPC' });
    expect(written().length).toBe(0);
  });
});
