import type { CalibrationInput } from '#core/model/calibration';
import type { Feet, FollowedPlay } from '#core/model/measured';
import type { Angle } from '#core/model/angle';
import measured from './film/measured.json';

/** What the coach of the demo program has measured on a snap already. */
export interface DemoMeasured {
  readonly cameras: Readonly<Record<Angle, CalibrationInput>>;
  readonly atSnap: readonly Feet[];
  readonly followed: FollowedPlay | null;
}

/** What is measured on a snap, `null` on those that are left to do. */
export const demoMeasured = (number: number): DemoMeasured | null =>
  (measured as unknown as DemoMeasured[])[number - 1] ?? null;
