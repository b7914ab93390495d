import * as z from 'zod';
import { AngleSchema } from './angle';
import { PixelSchema } from './calibration';

const TeamSchema = z.enum(['offence', 'defence']);
export type Team = z.infer<typeof TeamSchema>;

/** A click on a man's feet: who he is (his seat, or the letter of a defender), from where he was seen, and where. */
export const FeetSchema = z.object({
  id: z.string().regex(/^[A-Za-z][A-Za-z0-9]{0,2}$/),
  team: TeamSchema,
  angle: AngleSchema,
  pixel: PixelSchema,
});
export type Feet = z.infer<typeof FeetSchema>;

/** A click on each foot of a man in his stance, in either order. */
export const StanceSchema = FeetSchema.omit({ pixel: true }).extend({ pixels: z.tuple([PixelSchema, PixelSchema]) });
export type StanceClicks = z.infer<typeof StanceSchema>;

/** Whose clicks they are, and from where: there is one of each. */
export const keyOfClick = ({ id, team, angle }: Pick<Feet, 'id' | 'team' | 'angle'>): string =>
  `${team} ${id} ${angle}`;

/** Clicks on the frames of one moment of a play: seconds from the snap. */
export const LookSchema = z.object({ seconds: z.number().min(-2).max(12), feet: z.array(FeetSchema).max(88) });
export type Look = z.infer<typeof LookSchema>;

/**
 * A man's way as it was followed: for every frame x, y (feet, field frame), the standard deviation of the place in feet and how well he was
 * seen, 0 to 1; `heights`: for every frame the middle of his trunk over the ground, feet, where it was kept.
 */
export const KeptTrackSchema = z.object({
  id: FeetSchema.shape.id,
  team: TeamSchema,
  places: z.array(z.tuple([z.number(), z.number(), z.number(), z.number()])).max(600),
  heights: z.array(z.number()).max(600).optional(),
});
export type KeptTrack = z.infer<typeof KeptTrackSchema>;

/** Where somebody says a man was at a moment: what was followed bends through it. Feet, field frame; seconds from the snap. */
export const BendSchema = z.object({
  id: FeetSchema.shape.id,
  team: TeamSchema,
  seconds: z.number(),
  x: z.number(),
  y: z.number(),
});
export type Bend = z.infer<typeof BendSchema>;

/**
 * A camera that was carried along a film: for every frame pan, tilt, roll (radians) and focal length (picture widths), how well the field
 * fitted (median, pixels; `null` when it was never told) and on how many frames it could not be told.
 */
export const CarriedSchema = z.object({
  angle: AngleSchema,
  turns: z.array(z.tuple([z.number(), z.number(), z.number(), z.number().positive()])).max(600),
  residual: z.number().nullable(),
  untold: z.int().min(0),
});
export type Carried = z.infer<typeof CarriedSchema>;

/** Everybody's ways through a play; the first frame is so many seconds from the snap. */
export const FollowedPlaySchema = z.object({
  framesPerSecond: z.number().positive().max(240),
  start: z.number(),
  tracks: z.array(KeptTrackSchema).max(24),
  /** Cameras that moved. */
  carried: z.array(CarriedSchema).max(2).default([]),
});
export type FollowedPlay = z.infer<typeof FollowedPlaySchema>;

/** All that was measured on a snap's film. */
export const MeasuringSchema = z.object({
  atSnap: LookSchema.shape.feet,
  followed: FollowedPlaySchema.nullable(),
  bends: z.array(BendSchema).max(200),
  stances: z.array(StanceSchema).max(44).default([]),
});
export type Measuring = z.infer<typeof MeasuringSchema>;

/** What nobody has measured yet. */
export const NOTHING_MEASURED: Measuring = { atSnap: [], followed: null, bends: [], stances: [] };
