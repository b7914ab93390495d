import type { Answer } from './answer';

/** What looks odd and is meant: which doubt it silences, where, and why. */
export interface Intent {
  /** One of the kinds in `doubts.ts`. */
  readonly kind: string;
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
  {
    kind: 'an end inside, the overhang free',
    reason: 'The box comes before the edge: all five linemen have somebody, so a linebacker would be free without him.',
    holds: ({ formation, resolution }) =>
      formation.men
        .filter((m) => m.kind === 'line')
        .every((m) => resolution.assignments.some((a) => a.blocker === m.id && (a.target ?? a.next) !== null)),
  },
  {
    kind: 'a puller turns back',
    reason: 'Off play action the guard pulls to the edge the fake has emptied: the back side is where he is sent.',
    holds: ({ scheme }) => scheme === 'pro-play-action' || scheme === 'pro-boot',
  },
  {
    kind: 'a puller with nobody',
    reason: 'Screen blockers get out in front of the back; who shows there shows after the catch.',
    holds: ({ scheme }) => scheme === 'screen',
  },
];
