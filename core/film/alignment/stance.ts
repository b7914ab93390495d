import type { StanceClicks } from '../../model/measured';
import { apartAt, together, type Placed } from '../calibrate/uncertainty';
import type { Calibrations } from './places';

/** A man's stance: how far his feet are apart across, and how far the right one is ahead of the left one (behind it below zero). Feet, one standard deviation. */
export interface MeasuredStance {
  readonly width: number;
  readonly widthError: number;
  readonly ahead: number;
  readonly aheadError: number;
}

/** The foot further left on the field, then the other one. */
const acrossOf = (way: Placed): Placed => (way.x < 0 ? { ...way, x: -way.x, y: -way.y } : way);

/** A man's stance by all angles his feet were clicked in; `null` without a camera that is known. */
export function stanceOf(clicks: readonly StanceClicks[], calibrations: Calibrations): MeasuredStance | null {
  const seen = clicks.flatMap(({ angle, pixels }) => {
    const calibration = calibrations[angle];
    const way = calibration && apartAt(calibration, ...pixels);
    return way ? [acrossOf(way)] : [];
  });
  if (seen.length === 0) return null;
  const { x, y, spread } = seen.reduce(together);
  return { width: x, widthError: Math.sqrt(spread.xx), ahead: y, aheadError: Math.sqrt(spread.yy) };
}

/** How far back the other foot is, as it is coached: up to so many inches. */
const STAGGERS = [
  { upTo: 3, says: 'even' },
  { upTo: 9, says: 'toe to instep' },
  { upTo: 15, says: 'toe to heel' },
  { upTo: Infinity, says: 'more than toe to heel' },
] as const;
/** With a larger error nothing is said of the stagger, inches: it is seen from the sideline. */
const UNTOLD = 6;
const inches = (feet: number): number => Math.round(Math.abs(feet) * 12);
const withError = (feet: number, error: number): string => `${inches(feet)} ± ${Math.max(1, inches(error))}`;

/** "feet 26 ± 1 in apart; right foot 8 ± 2 in back: toe to instep". */
export function sayStance({ width, widthError, ahead, aheadError }: MeasuredStance): string {
  const apart = `feet ${withError(width, widthError)} in apart`;
  if (aheadError * 12 > UNTOLD) return `${apart}; which foot is back cannot be told from here`;
  const { says } = STAGGERS.find(({ upTo }) => inches(ahead) < upTo)!;
  return `${apart}; ${ahead > 0 ? 'left' : 'right'} foot ${withError(ahead, aheadError)} in back: ${says}`;
}
