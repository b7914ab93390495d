/** The steps of measuring, in order; each needs the ones before it. */
export const STEPS = ['marks', 'feet', 'ways'] as const;
export type Step = (typeof STEPS)[number];
export const STEP_NAMES: Readonly<Record<Step, string>> = {
  marks: 'Field marks',
  feet: 'Feet at the snap',
  ways: 'Ways through the play',
};
