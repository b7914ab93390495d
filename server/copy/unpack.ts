import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Readable } from 'node:stream';
import { createError } from 'h3';
import yauzl from 'yauzl';
import * as z from 'zod';
import { findUnkeepable } from '#core/model/keepable';
import { COPIED, CopiedPersonSchema, CopyHeadSchema, type CopiedPerson, type CopyHead, type Row } from './tables';

/** Most that one text file of a copy unpacks to, and most entries it has. */
const LARGEST_TEXT = 400_000_000;
const MOST_ENTRIES = 20_000;

/** A copy as it was unpacked: its tables in memory, its film in a folder. */
export interface Unpacked {
  readonly head: CopyHead;
  readonly people: readonly CopiedPerson[];
  readonly tables: ReadonlyMap<string, readonly Row[]>;
  /** Files of film by where they lay in the storage they are from. */
  readonly film: ReadonlyMap<string, string>;
}

export const refuseCopy = (what: string): never => {
  throw createError({ statusCode: 400, message: `${what}. Nothing was changed.` });
};

const TABLE = /^tables\/([a-z_]+)\.jsonl$/;
const FILM = /^film\/((?:[\w.-]+\/)?[\w.-]+)$/;

/** Unpacks a copy into a folder; 400 that says which file of it and which line cannot be read. */
export async function unpackCopy(file: string, folder: string): Promise<Unpacked> {
  const texts = new Map<string, string>();
  const film = new Map<string, string>();
  await eachEntry(file, async (name, size, open) => {
    const key = FILM.exec(name)?.[1];
    if (key && !key.split('/').includes('..')) {
      const place = join(folder, `film-${film.size}`);
      await mkdir(folder, { recursive: true });
      await pipeline(await open(), createWriteStream(place));
      film.set(key, place);
    } else if (name === 'program.json' || name === 'people.json' || TABLE.test(name)) {
      if (size > LARGEST_TEXT) refuseCopy(`${name} is larger than ${LARGEST_TEXT / 1_000_000} MB`);
      texts.set(name, await readText(name, await open()));
    }
  });
  const head = parse('program.json', texts.get('program.json'), CopyHeadSchema);
  const people = parse('people.json', texts.get('people.json'), z.array(CopiedPersonSchema));
  const tables = new Map(COPIED.map(({ name }) => [name, rowsOf(name, texts.get(`tables/${name}.jsonl`) ?? '')]));
  return { head, people, tables, film };
}

function eachEntry(
  file: string,
  see: (name: string, size: number, open: () => Promise<Readable>) => Promise<void>,
): Promise<void> {
  return new Promise((done, fail) => {
    yauzl.open(file, { lazyEntries: true }, (problem, zip) => {
      if (problem) return fail(noCopy());
      if (zip.entryCount > MOST_ENTRIES) return fail(noCopy());
      zip.on('error', () => fail(noCopy()));
      zip.on('end', () => done());
      zip.on('entry', (entry: yauzl.Entry) => {
        const open = (): Promise<Readable> =>
          new Promise((resolve, reject) =>
            zip.openReadStream(entry, (wrong, stream) => (wrong ? reject(noCopy()) : resolve(stream))),
          );
        see(entry.fileName, entry.uncompressedSize, open).then(
          () => zip.readEntry(),
          (wrong: object) => fail(isOurs(wrong) ? wrong : noCopy()),
        );
      });
      zip.readEntry();
    });
  });
}
/** What we refused ourselves, or the system did with its disk; anything else is a copy that does not unpack. */
const isOurs = (problem: object): boolean => 'statusCode' in problem || 'syscall' in problem;
const noCopy = () =>
  createError({ statusCode: 400, message: 'This is no copy of a program, or not all of it. Nothing was changed.' });

async function readText(name: string, stream: Readable): Promise<string> {
  const parts: Buffer[] = [];
  let size = 0;
  for await (const part of stream as AsyncIterable<Buffer>) {
    size += part.length;
    if (size > LARGEST_TEXT) refuseCopy(`${name} is larger than it says`);
    parts.push(part);
  }
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(parts));
  } catch {
    return refuseCopy(`${name} is no text`);
  }
}

function parse<T>(name: string, text: string | undefined, schema: z.ZodType<T>): T {
  if (text === undefined) return refuseCopy(`There is no ${name} in it: this is no copy of a program`);
  const parsed = schema.safeParse(json(name, text));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  return refuseCopy(`${name}, ${issue!.path.map(String).join('.') || 'all of it'}: ${issue!.message}`);
}

function json(where: string, text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return refuseCopy(`${where} is not valid JSON`);
  }
}

/** The rows of a table, each an object whose bodies are what they have to be. */
function rowsOf(table: string, text: string): Row[] {
  const { bodies, unnumbered } = COPIED.find((t) => t.name === table)!;
  const RowSchema = z.looseObject({ ...(unnumbered ? {} : { id: z.int().positive() }), ...bodies });
  return text
    .split('\n')
    .filter(Boolean)
    .map((line, i) => {
      const where = `tables/${table}.jsonl, line ${i + 1}`;
      const value = json(where, line);
      const unkeepable = findUnkeepable(value);
      if (unkeepable) refuseCopy(`${where}: ${unkeepable.what}`);
      const parsed = RowSchema.safeParse(value);
      if (parsed.success) return value as Row;
      const [issue] = parsed.error.issues;
      return refuseCopy(`${where}, ${issue!.path.map(String).join('.') || 'all of it'}: ${issue!.message}`);
    });
}
