import type { Ref } from 'vue';
import type { Colours } from '#core/film/alignment/assist';
import type { Calibration, Pixel } from '#core/model/calibration';
import type { SnapView } from '#core/model/snap-view';
import type { Drawn } from './overlay';

/** The steps of measuring, in order; each needs the ones before it. */
export const STEPS = ['marks', 'feet', 'ways'] as const;
export type Step = (typeof STEPS)[number];
export const STEP_NAMES: Readonly<Record<Step, string>> = {
  marks: 'Field marks',
  feet: 'Feet at the snap',
  ways: 'Ways through the play',
};

/** What a step does with a point, with the keys, and what it draws. */
export interface OnStep {
  readonly point: (pixel: Pixel) => void;
  readonly takeAway: () => void;
  /** On to the next man, or back. */
  readonly man: (by: number) => void;
  readonly drawn: (clip: FilmClip, leads: boolean) => Drawn;
}

/** A clip of the snap that is measured. */
export type FilmClip = SnapView['clips'][number];

/** The film on the page: which clip leads, and which of its frames is shown. */
export interface OnFilm {
  readonly lead: Readonly<Ref<FilmClip | null>>;
  readonly frame: Readonly<Ref<number>>;
  /** Seconds from the snap to the frame. */
  readonly seconds: Readonly<Ref<number>>;
  /** Pixels of the clip that leads. */
  readonly size: Readonly<Ref<{ width: number; height: number }>>;
  /** The picture of the clip that leads as it is shown; `null` while there is none. */
  readonly picture: () => Colours | null;
  /** Pictures of the clip that leads from moments when everybody has left his place; none where its camera moves. */
  readonly others: () => readonly Colours[];
  /** The camera of the clip that leads, when it is kept. */
  readonly kept: Readonly<Ref<Calibration | null>>;
}
