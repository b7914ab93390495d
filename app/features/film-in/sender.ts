import { defaultOptions, Upload } from 'tus-js-client';
import { PART_BYTES } from '#core/film/incoming/part';
import type { FilmKind } from '#core/model/film';

/** What is said of a file when it is sent. */
export interface Said {
  readonly name: string;
  readonly kind: FilmKind;
  readonly game: number | null;
  readonly keepSound: boolean;
  /** Whose film it is: what one member has begun on this machine is not another’s to see or to go on with. */
  readonly owner: string;
}

/** What whoever sends a file is told. */
export interface Told {
  sent(bytes: number): void;
  done(): void;
  failed(message: string): void;
}

/** A file on its way. */
export interface Sending {
  pause(): void;
  goOn(): void;
  /** Gives it up, with what came already. */
  drop(): void;
}

const ENDPOINT = '/api/upload';
/** How long is waited before trying again, milliseconds. */
const AGAIN_AFTER = [500, 1000, 3000, 6000, 15_000, 30_000];

/** The server's sentence out of an answer, or one of ours. */
function wordsOf(problem: unknown): string {
  const body = (problem as { originalResponse?: { getBody(): string } | null }).originalResponse?.getBody();
  try {
    const { message } = JSON.parse(body ?? '') as { message?: unknown };
    if (typeof message === 'string') return message;
  } catch {
    // An answer that is no JSON says nothing to a coach.
  }
  return body === undefined
    ? 'The server cannot be reached. What came so far is kept; go on when it is back.'
    : 'The server could not take this.';
}

/** Sends a file, from where it was broken off when the same one was begun before. */
export function startSending(file: File, { name, kind, game, keepSound, owner }: Said, told: Told): Sending {
  const upload = new Upload(file, {
    endpoint: ENDPOINT,
    chunkSize: PART_BYTES,
    retryDelays: AGAIN_AFTER,
    removeFingerprintOnSuccess: true,
    metadata: { name, kind, game: game === null ? '' : String(game), sound: keepSound ? 'keep' : 'drop', owner },
    onProgress: (sent) => told.sent(sent),
    onSuccess: () => told.done(),
    onError: (problem) => told.failed(wordsOf(problem)),
  });
  const goOn = (): void => {
    void upload.findPreviousUploads().then((all) => {
      const previous = all.find((p) => p.metadata.owner === owner);
      if (previous && !upload.url) upload.resumeFromPreviousUpload(previous);
      upload.start();
    });
  };
  goOn();
  return { pause: () => void upload.abort(), goOn, drop: () => void upload.abort(true) };
}

/** Names of the films a member has begun on this machine that are not whole. */
export async function unfinishedNames(owner: string): Promise<string[]> {
  const kept = await defaultOptions.urlStorage.findAllUploads();
  return kept.filter((k) => k.metadata.owner === owner).map((k) => k.metadata.name ?? 'a film');
}
