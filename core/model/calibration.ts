import * as z from 'zod';

/** Where hash marks are painted differs; the width does not. */
export const FIELD_TYPES = ['youth', 'high school', 'college', 'professional'] as const;
export const FieldTypeSchema = z.enum(FIELD_TYPES);
export type FieldType = z.infer<typeof FieldTypeSchema>;

/** Where along a yard line a mark is; `anywhere` says only that it is on the line. */
export const ACROSS = ['left sideline', 'left hash', 'right hash', 'right sideline', 'anywhere'] as const;
export const AcrossSchema = z.enum(ACROSS);
export type Across = z.infer<typeof AcrossSchema>;

/** A place on a picture: pixels from its upper left corner. */
export const PixelSchema = z.object({ x: z.number().finite(), y: z.number().finite() });
export type Pixel = z.infer<typeof PixelSchema>;

/** A field mark somebody has clicked. Yards are counted from the goal line the offence defends, 0 to 100. */
export const FieldMarkSchema = z.object({
  yard: z.number().min(0).max(100),
  across: AcrossSchema,
  pixel: PixelSchema,
});
export type FieldMark = z.infer<typeof FieldMarkSchema>;

/** A point of the field and above it, feet: x from the middle of the field to the offence's right, y from the goal line it defends, z up. */
export const SpaceSchema = z.object({ x: z.number().finite(), y: z.number().finite(), z: z.number().finite() });
export type Space = z.infer<typeof SpaceSchema>;

/**
 * A camera as it was found from field marks. Pan is counted from straight downfield toward the offence's right, tilt downward, roll
 * against the clock, radians; focal length in picture widths; `barrel` is the share by which a point at slope 1 from the middle is drawn in or out.
 */
export const FilmCameraSchema = z.object({
  at: SpaceSchema,
  pan: z.number().finite(),
  tilt: z.number().finite(),
  roll: z.number().finite(),
  focal: z.number().positive(),
  barrel: z.number().finite(),
});
export type FilmCamera = z.infer<typeof FilmCameraSchema>;

/** What a coach gives for a calibration: the marks on one frame, and where the ball lies on it. */
export const CalibrationInputSchema = z.object({
  field: FieldTypeSchema,
  frame: z.int().min(0),
  width: z.int().min(16).max(8192),
  height: z.int().min(16).max(8192),
  marks: z.array(FieldMarkSchema).min(4).max(60),
  ball: PixelSchema,
  /** The camera is held by hand, or pans: what was named holds for this frame, and is carried along from it. */
  moves: z.boolean().optional(),
});
export type CalibrationInput = z.infer<typeof CalibrationInputSchema>;

/** A calibration: what it was made from, the camera, and how far it can be trusted. */
export const CalibrationSchema = CalibrationInputSchema.extend({
  camera: FilmCameraSchema,
  /** Covariance of the camera's eight numbers in the order at.x, at.y, at.z, pan, tilt, roll, ln focal, barrel. */
  covariance: z.array(z.array(z.number().finite()).length(8)).length(8),
  /** Root mean square distance of the marks from where the camera puts them, pixels. */
  residual: z.number().min(0),
  /** The ball on the field, feet. */
  spot: z.object({ x: z.number().finite(), y: z.number().finite() }),
});
export type Calibration = z.infer<typeof CalibrationSchema>;
