import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Readable } from 'node:stream';
import { randomUUID } from 'node:crypto';
import { DeleteObjectCommand, GetObjectCommand, HeadObjectCommand, S3Client } from '@aws-sdk/client-s3';
import { Upload } from '@aws-sdk/lib-storage';
import { FolderStorage, type FilmStorage } from './storage';

/** Where the bucket is. Who may use it is read where the library reads it: `AWS_ACCESS_KEY_ID` and `AWS_SECRET_ACCESS_KEY`. */
export interface Bucket {
  /** Empty for the service the name comes from; else any that speaks the same protocol. */
  readonly endpoint: string;
  readonly region: string;
  readonly bucket: string;
}

const isMissing = (problem: unknown): boolean =>
  (problem as { $metadata?: { httpStatusCode?: number } }).$metadata?.httpStatusCode === 404;

/**
 * Film in a bucket that several machines share. What a machine shows or writes it keeps a copy of in a folder of its own, so that film is
 * scrubbed from there; a file that is in that folder and not in the bucket is shown too.
 */
export class S3Storage implements FilmStorage {
  private readonly client: S3Client;
  private readonly bucket: string;
  private readonly here: FolderStorage;
  /** Files on their way here: whoever asks for one that comes already waits for it. */
  private readonly coming = new Map<string, Promise<void>>();

  constructor({ endpoint, region, bucket }: Bucket, folder: string) {
    // Services that only speak the same protocol have no name of their own for a bucket.
    this.client = new S3Client({ region, ...(endpoint ? { endpoint, forcePathStyle: true } : {}) });
    this.bucket = bucket;
    this.here = new FolderStorage(folder);
  }

  async adopt(file: string, key: string): Promise<void> {
    this.here.place(key);
    const upload = new Upload({ client: this.client, params: { ...this.at(key), Body: createReadStream(file) } });
    await upload.done();
    await this.here.adopt(file, key);
  }

  async localFile(key: string): Promise<string> {
    const file = this.here.place(key);
    if (await this.here.has(key)) return file;
    let coming = this.coming.get(key);
    if (!coming) {
      coming = this.bring(key, file).finally(() => this.coming.delete(key));
      this.coming.set(key, coming);
    }
    await coming;
    return file;
  }

  /** Brings a file here, all of it or nothing. */
  private async bring(key: string, file: string): Promise<void> {
    const part = `${file}.${randomUUID()}.part`;
    try {
      const { Body } = await this.client.send(new GetObjectCommand(this.at(key)));
      await mkdir(dirname(file), { recursive: true });
      await pipeline(Body as Readable, createWriteStream(part));
      await rename(part, file);
    } catch (problem) {
      await rm(part, { force: true });
      if (!isMissing(problem)) throw problem;
    }
  }

  async has(key: string): Promise<boolean> {
    if (await this.here.has(key)) return true;
    try {
      await this.client.send(new HeadObjectCommand(this.at(key)));
      return true;
    } catch (problem) {
      if (isMissing(problem)) return false;
      throw problem;
    }
  }

  async remove(key: string): Promise<void> {
    await this.client.send(new DeleteObjectCommand(this.at(key)));
    await this.here.remove(key);
  }

  /** What this machine still holds: film passes through it. */
  free = (): Promise<number> => this.here.free();

  private readonly at = (key: string) => ({ Bucket: this.bucket, Key: key });
}
