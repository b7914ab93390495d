import * as z from 'zod';

/** What a film is of. Neither line of an opponent's film is graded; teaching reps are model marks. */
export const FILM_KINDS = ['own game', 'opponent', 'practice', 'teaching'] as const;
export const FilmKindSchema = z.enum(FILM_KINDS);
export type FilmKind = z.infer<typeof FilmKindSchema>;

/** Whether a film of a kind shows the snaps of its game, by the numbers in its name: a game of ours in our own film, one of theirs in theirs. */
export const showsItsGame = (kind: FilmKind, game: { readonly theirs?: string | null }): boolean =>
  kind === (game.theirs ? 'opponent' : 'own game');

/** How far a film has come. `refused` carries why; `cancelled` and `refused` ones can be tried again. */
export const FILM_STATES = ['waiting', 'working', 'ready', 'refused', 'cancelled'] as const;
export const FilmStateSchema = z.enum(FILM_STATES);
export type FilmState = z.infer<typeof FilmStateSchema>;

/** What is in a film file. Width and height in pixels as shown, times in seconds; `rate` is frames a second, `even` whether all of them last alike. */
export const FilmFactsSchema = z.object({
  container: z.string(),
  codec: z.string(),
  width: z.int().positive(),
  height: z.int().positive(),
  rate: z.number().positive(),
  even: z.boolean(),
  frames: z.int().positive(),
  duration: z.number().positive(),
  pixels: z.string(),
  /** Most frames between two that can be shown without the others. */
  keyEvery: z.int().positive(),
  sound: z.boolean(),
  /** When it was shot by the camera's own clock, as the file says it; nothing where it does not. */
  shot: z.string().max(40).optional(),
});
export type FilmFacts = z.infer<typeof FilmFactsSchema>;

/** Where a film was cut out of a recording: frames of it, both included, and the one on which the ball is snapped, if that is known. */
export const CutOutSchema = z.object({
  film: z.int(),
  from: z.int().min(0),
  to: z.int().min(0),
  snap: z.int().min(0).nullable(),
});
export type CutOut = z.infer<typeof CutOutSchema>;

/** How much the picture of a recording changes, so many times a second: the mean difference to the picture before, 0 to 255. */
export const MotionSchema = z.object({ perSecond: z.number().positive(), values: z.array(z.number()) });

export const FilmBodySchema = z.object({
  /** Share of the work that is done, 0 to 1. */
  progress: z.number().min(0).max(1).default(0),
  problem: z.string().default(''),
  facts: FilmFactsSchema.nullable().default(null),
  /** Why it was written anew; empty when it plays as it came. */
  rewritten: z.array(z.string()).default([]),
  /** Places in the storage: as it came, as it is played, a still. */
  original: z.string().nullable().default(null),
  playable: z.string().nullable().default(null),
  still: z.string().nullable().default(null),
  keepSound: z.boolean().default(false),
  cutOut: CutOutSchema.nullable().default(null),
  /** Where in the storage the motion of a recording is, once it was looked at. */
  motion: z.string().nullable().default(null),
});
export type FilmBody = z.infer<typeof FilmBodySchema>;

/** A film as a list of what came in shows it. */
export interface FilmView {
  readonly id: number;
  readonly name: string;
  readonly kind: FilmKind;
  readonly state: FilmState;
  readonly bytes: number;
  readonly gameId: number | null;
  readonly progress: number;
  readonly problem: string;
  readonly facts: FilmFacts | null;
  readonly rewritten: readonly string[];
  /** Cut out of a recording. */
  readonly cut: boolean;
  /** The snap it shows, and from where. */
  readonly snap: { readonly id: number; readonly number: number; readonly angle: string } | null;
}

/** Longer than any play: a film that holds several snaps, seconds. */
export const RECORDING_FROM = 20;
