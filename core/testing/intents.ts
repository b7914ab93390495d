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

/** Two noses this close are stacked, feet. */
const STACKED = 1 + 1e-6;

const placeOf = ({ front }: Answer, id: string | null): number =>
  front.defenders.find((d) => d.id === id)?.x ?? Number.NaN;
const jobOf = ({ resolution }: Answer, who: string) => resolution.assignments.find((a) => a.blocker === who);

/** No climb gets as far to the side as this, feet. */
const TOO_FAR = 14;

/** He and his partner double a man with a linebacker straight behind him. */
function keepsStacked(answer: Answer, who: string): boolean {
  const job = jobOf(answer, who);
  if (!job) return false;
  const { partners, target, next } = job;
  return partners.length > 0 && Math.abs(placeOf(answer, target) - placeOf(answer, next)) <= STACKED;
}

/** The front has moved and he still does what he was to do. */
const keepsHis = ({ resolution: { movement } }: Answer, who: string): boolean =>
  movement !== null && !movement.changed.includes(who);

export const INTENTS: readonly Intent[] = [
  {
    kind: 'crossing ways',
    reason: 'A pair keeps the linebacker straight behind the man it doubles, whoever crosses it for that.',
    holds: (answer, who) => who.some((w) => keepsStacked(answer, w)),
  },
  {
    kind: 'crossing ways',
    reason: 'The front has moved after the snap and somebody keeps the man he has: nobody has hindsight.',
    holds: (answer, who) => who.some((w) => keepsHis(answer, w)),
  },
  {
    kind: 'far past a nearer man',
    reason: 'The box is counted by numbers: a man goes to his number, however near another one stands.',
    holds: ({ scheme }) => scheme.startsWith('inside-zone-z5'),
  },
  {
    kind: 'far past a nearer man',
    reason: 'He keeps the linebacker he had before the snap: nobody has hindsight.',
    holds: (answer, who) => who.some((w) => keepsHis(answer, w)),
  },
  {
    kind: 'idle beside a free man',
    reason: 'He slides to his gap and does not turn back: who comes behind him is told as hot or free.',
    holds: (answer, who) =>
      who.some((w) => jobOf(answer, w)?.block === 'slide') &&
      answer.resolution.problems.some(
        (p) => (p.code === 'hot-rusher' || p.code === 'free-rusher') && who.some((w) => p.who.includes(w)),
      ),
  },
  {
    kind: 'off a head-up man',
    reason: 'The verdict names him: nobody is left to take him, and the coach is told so.',
    holds: (answer, who) =>
      said(answer, who, 'free-on-line') || said(answer, who, 'free-at-attack') || said(answer, who, 'free-rusher'),
  },
  {
    kind: 'off a head-up man',
    reason: 'The ball is out, or past him, before he can be there, and a note says so.',
    holds: ({ resolution }, who) =>
      resolution.notes.some((n) =>
        who.some(
          (w) =>
            (n.includes('cannot arrive') && n.startsWith(`Nobody has ${w}`)) ||
            n.startsWith(`${w} is free on the line and too late`),
        ),
      ),
  },
  {
    kind: 'an end inside, the overhang free',
    reason:
      'The box comes before the edge: every lineman has somebody or is too far away, so a linebacker would be free without him.',
    holds: (answer, who) => {
      const his = placeOf(answer, jobOf(answer, who[0]!)?.target ?? null);
      return answer.formation.men
        .filter((m) => m.kind === 'line')
        .every((m) => {
          const job = jobOf(answer, m.id);
          return (job && (job.target ?? job.next) !== null) || Math.abs(m.x - his) >= TOO_FAR;
        });
    },
  },
  {
    kind: 'an end inside, the overhang free',
    reason: 'A screen is thrown away from him: on the back side the linebacker who chases counts, not who stands wide.',
    holds: ({ scheme, formation, resolution }, who) => {
      const me = formation.men.find((m) => m.id === who[0])!;
      return scheme === 'screen' && me.x < 0 === (resolution.side === 'right');
    },
  },
  {
    kind: 'a puller turns back',
    reason: 'The front has moved: with nobody left at the edge his is the most playside linebacker there is, by name.',
    holds: (answer, who) => {
      const { front, resolution } = answer;
      const sign = resolution.side === 'right' ? 1 : -1;
      const his = who.map((w) => jobOf(answer, w)?.target ?? null).find((t) => t !== null) ?? null;
      const backers = front.defenders.filter((d) => d.position === 'lb' && d.y > 4.5);
      return resolution.movement !== null && backers.every((d) => d.x * sign <= placeOf(answer, his) * sign + 1e-6);
    },
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
