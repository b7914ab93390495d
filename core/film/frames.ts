/** Time in seconds in the middle of a frame: asking for its edge may show the one before. Frames count from 0. */
export const seekTime = (frame: number, framesPerSecond: number): number => (frame + 0.5) / framesPerSecond;

/** The frame on show at a media time given by the player, which is the frame's own start. */
export const frameAt = (seconds: number, framesPerSecond: number): number =>
  Math.floor(seconds * framesPerSecond + 0.25);

/** Seconds from the snap to a frame; negative before it. */
export const sinceSnap = (frame: number, snapFrame: number, framesPerSecond: number): number =>
  (frame - snapFrame) / framesPerSecond;
