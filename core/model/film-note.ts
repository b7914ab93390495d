import * as z from 'zod';

/** A place in the picture, in shares of its width and height from the upper left. */
export const SharesSchema = z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) });
export type Shares = z.infer<typeof SharesSchema>;

/** What can be drawn, with how many places each takes. */
export const DRAWN = { arrow: 2, line: 2, angle: 3, spot: 1 } as const;
export type Drawn = keyof typeof DRAWN;
export const DRAWN_KINDS = Object.keys(DRAWN) as [Drawn, ...Drawn[]];

export const ShapeSchema = z
  .object({ kind: z.enum(DRAWN_KINDS), at: z.array(SharesSchema).min(1).max(3) })
  .refine(({ kind, at }) => at.length === DRAWN[kind], { message: 'another number of places than this shape has' });
export type Shape = z.infer<typeof ShapeSchema>;

const NoteFields = z.object({
  frame: z.int().min(0),
  until: z.int().min(0),
  text: z.string().max(400),
  shapes: z.array(ShapeSchema).max(30),
  /** Players of a published game see it too. */
  players: z.boolean(),
});

/** What somebody wrote and drew on a film: it shows from its frame until another, both included. Frames count from 0. */
export const FilmNoteSchema = NoteFields.refine(({ frame, until }) => frame <= until, {
  message: 'ends before it begins',
  path: ['until'],
}).refine(({ text, shapes }) => text.trim() !== '' || shapes.length > 0, { message: 'is empty' });
export type FilmNote = z.infer<typeof FilmNoteSchema>;

/** A note as it is kept; `revision` grows with every change. */
export const KeptNoteSchema = NoteFields.extend({
  id: z.int(),
  clipId: z.int(),
  by: z.string(),
  revision: z.int().min(1),
});
export type KeptNote = z.infer<typeof KeptNoteSchema>;
