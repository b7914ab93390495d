import { mkdir, readdir } from 'node:fs/promises';
import type { Locker } from '@tus/utils';
import { Server, type Upload } from '@tus/server';
import * as z from 'zod';
import { findUnkeepable } from '#core/model/keepable';
import { FilmKindSchema } from '#core/model/film';
import { GameRow } from '../db/models';
import { refusalOfDriver } from '../db/refusals';
import type { Member } from '../session/member';
import { noteArrival, type Arrival } from '../usecases/films';
import type { FilmPlaces } from './places';
import { piecesOf } from './upload-pieces';
import { UploadStore } from './upload-store';

export const UPLOAD_PATH = '/api/upload';
/** Largest film, bytes: a whole game from one camera. */
const LARGEST_FILM = 20_000_000_000;
/** What has to stay free on the disk for the database and for writing films anew, bytes. */
const KEPT_FREE = 500_000_000;

/** Characters of a film's name. */
export const LONGEST_NAME = 200;

/** What the page says of a file before it sends it. */
const SaidSchema = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'a film needs a name')
    .max(LONGEST_NAME, `the name is longer than ${LONGEST_NAME} characters`),
  kind: FilmKindSchema,
  /** Empty, or nothing at all, is no game: the protocol makes no difference. */
  game: z
    .string()
    .regex(/^\d{0,9}$/)
    .nullish()
    .transform((id) => id ?? ''),
  sound: z.enum(['keep', 'drop']).default('drop'),
});
/** What is kept with an upload. */
const KeptSchema = SaidSchema.extend({ program: z.string().regex(/^\d+$/), user: z.string().regex(/^\d+$/) });

const refuse = (status_code: number, message: string) => ({ status_code, body: JSON.stringify({ message }) });

/** What nobody goes on with for so long is given up: milliseconds. */
const GIVEN_UP_AFTER = 14 * 24 * 3600 * 1000;

const storeOf = ({ arriving }: FilmPlaces): UploadStore =>
  new UploadStore({ directory: arriving, expirationPeriodInMilliseconds: GIVEN_UP_AFTER });

/** Who may send the rest of an upload: members of the program its name begins with. */
const belongsTo = ({ programId }: Member, upload: string): boolean => upload.startsWith(`p${programId}-`);

/** Takes uploads of one member by the resumable protocol; `arrived` is told of every film that is whole. */
export function uploadServer(
  member: Member,
  places: FilmPlaces,
  locker: Locker,
  arrived: (film: number) => Promise<void>,
): Server {
  return new Server({
    path: UPLOAD_PATH,
    relativeLocation: true,
    datastore: storeOf(places),
    locker,
    maxSize: LARGEST_FILM,
    allowedOrigins: [],
    disableTerminationForFinishedUploads: true,
    namingFunction: () => `p${member.programId}-${crypto.randomUUID()}`,
    getFileIdFromRequest: (_request, last) => (last && /^p\d+-[0-9a-f-]{36}$/.test(last) ? last : undefined),
    onIncomingRequest: async (request, upload) => {
      if (upload && !belongsTo(member, upload)) throw refuse(404, 'There is no such upload in your program.');
      const sent = request.runtime?.node?.req;
      if (!sent || request.method !== 'PATCH') return;
      // Only once it is asked for: of a part that is refused nothing is read, and the connection stays good.
      let pieces: ReadableStream | null = null;
      Object.defineProperty(request, 'body', { get: () => (pieces ??= piecesOf(sent)) });
    },
    onUploadCreate: async (_request, upload) => ({ metadata: await checkSaid(member, upload, places) }),
    onUploadFinish: async (_request, upload) => {
      await arrived(await noteArrival(arrivalOf(upload)));
      return {};
    },
    onResponseError: (_request, problem) => answerTo(problem),
  });
}

const KEPT = 'What has come so far is kept.';

/** What is answered to whoever sends, when a step fails; `undefined` leaves it to the protocol, which says what it refuses itself. */
function answerTo(problem: Error | { status_code: number }): ReturnType<typeof refuse> | undefined {
  if ('status_code' in problem) return undefined;
  if ((problem as { code?: string }).code === 'ENOSPC')
    return refuse(507, `The disk is full; make room and go on. ${KEPT}`);
  const trouble = refusalOfDriver(problem);
  if (trouble) return refuse(trouble.statusCode, `${trouble.message} ${KEPT}`);
  console.error('An upload failed:', problem);
  return refuse(500, `This part could not be taken; try again. ${KEPT}`);
}

async function checkSaid(member: Member, upload: Upload, { storage }: FilmPlaces): Promise<Record<string, string>> {
  const said = SaidSchema.safeParse(upload.metadata ?? {});
  if (!said.success)
    throw refuse(
      400,
      `${said.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; ')}. Nothing was sent.`,
    );
  const unkeepable = findUnkeepable(said.data);
  if (unkeepable) throw refuse(400, `${unkeepable.path.join('.')}: ${unkeepable.what}. Nothing was sent.`);
  if (!upload.size) throw refuse(400, `“${said.data.name}” is empty, or its size is not known. Nothing was sent.`);
  const free = (await storage.free()) - KEPT_FREE;
  if (upload.size > free)
    throw refuse(
      507,
      `“${said.data.name}” needs ${sayMegabytes(upload.size)}, and ${sayMegabytes(Math.max(0, free))} are free. Nothing was sent.`,
    );
  const { game } = said.data;
  if (game && !(await GameRow.findOne({ where: { id: Number(game), programId: member.programId } })))
    throw refuse(404, 'There is no such game in your program. Nothing was sent.');
  return keptWith(said.data, member.programId, member.userId);
}

/** What is kept with an upload: what was said of it, and whose it is. */
export const keptWith = (
  said: z.infer<typeof SaidSchema>,
  programId: number,
  userId: number,
): Record<string, string> => ({
  ...said,
  program: String(programId),
  user: String(userId),
});

const sayMegabytes = (bytes: number): string => `${Math.ceil(bytes / 1e6).toLocaleString('en')} MB`;

function arrivalOf(upload: Upload): Arrival {
  const { name, kind, game, sound, program, user } = KeptSchema.parse(upload.metadata);
  return {
    upload: upload.id,
    name,
    kind,
    gameId: game ? Number(game) : null,
    bytes: upload.size!,
    keepSound: sound === 'keep',
    programId: Number(program),
    userId: Number(user),
  };
}

/** Gives up what was left unfinished long ago, and notes what became whole just before the process was stopped: its last part was written, and nobody was told. */
export async function noteLeftOver(places: FilmPlaces): Promise<number[]> {
  await mkdir(places.arriving, { recursive: true });
  const store = storeOf(places);
  await store.deleteExpired();
  const found: number[] = [];
  for (const file of await readdir(places.arriving)) {
    if (file.endsWith('.json')) continue;
    const upload = await store.getUpload(file).catch(() => null);
    if (!upload?.size || upload.offset !== upload.size) continue;
    // One nobody can make sense of stays where it is, and keeps nobody from starting.
    try {
      found.push(await noteArrival(arrivalOf(upload)));
    } catch (problem) {
      console.error(`${file} in ${places.arriving} cannot be taken in: ${(problem as Error).message}`);
    }
  }
  return found;
}
