import type { Answer, DoubtKind } from './doubts';

/** What looks odd and is meant: which doubt it silences, where, and why. */
export interface Intent {
  readonly kind: DoubtKind;
  readonly reason: string;
  holds(answer: Answer, who: readonly string[]): boolean;
}

const said = ({ resolution }: Answer, who: readonly string[], code: string): boolean =>
  resolution.problems.some((p) => p.code === code && who.some((w) => p.who.includes(w)));

export const INTENTS: readonly Intent[] = [
  {
    kind: 'off a head-up man',
    reason: 'The verdict names him: nobody is left to take him, and the coach is told so.',
    holds: (answer, who) =>
      said(answer, who, 'free-on-line') || said(answer, who, 'free-at-attack') || said(answer, who, 'free-rusher'),
  },
];
