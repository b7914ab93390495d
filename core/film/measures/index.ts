import type { Track } from '../follow/follow';
import { displacementMeasure, toContactMeasure } from './contact';
import { firstStepMeasure } from './first-step';
import { getOffMeasure } from './get-off';
import { hipGapMeasure } from './hip-gap';
import type { Measure, PlayOnFilm, Reading } from './measure';
import { padLevelMeasure } from './pad-level';
import { passSetMeasure } from './pass-set';
import { pullDepthMeasure } from './pull-depth';
import { holeWidthMeasure } from './hole';
import { trackAngleMeasure } from './track-angle';

/** Everything that is measured of a man on film, in the order in which it happens. */
export const MEASURES: readonly Measure[] = [
  getOffMeasure,
  firstStepMeasure,
  pullDepthMeasure,
  passSetMeasure,
  trackAngleMeasure,
  toContactMeasure,
  padLevelMeasure,
  hipGapMeasure,
  displacementMeasure,
  holeWidthMeasure,
];

/** What the film tells of a man. */
export const measuresOf = (play: PlayOnFilm, man: Track): (Reading & { readonly measure: Measure })[] =>
  MEASURES.flatMap((measure) => {
    const reading = measure.of(play, man);
    return reading ? [{ measure, ...reading }] : [];
  });
