import { faultsOffered, phasesOf } from '#core/grade/standards';
import { rubricOf } from '#core/grade/rubrics/index';
import { FACTS, type FactId } from '#core/model/facts';
import {
  CONSEQUENCES,
  OutcomeSchema,
  PhaseMarkSchema,
  type Consequence,
  type Grade,
  type PairMark,
} from '#core/model/grade';
import type { Assignment } from '#core/model/resolution';
import { onMan, type Film, type Hand } from '~/features/film/hand';
import { FAULT_KEYS, PHASE_KEYS } from './fault-keys';
import { usePlaybook } from '~/features/playbook/store';

/** The letter of each fact, after the key of the facts. */
export const FACT_KEYS: Readonly<Record<FactId, string>> = {
  knockdown: 'k',
  'two-for-one': 't',
  pressure: 'p',
  hit: 'h',
  sack: 's',
  loss: 'l',
  'made-the-play': 'm',
  penalty: 'f',
  loaf: 'o',
};

/** A mark by one key. `again`: what the same key means for a man who has that mark already. */
export interface MarkKey {
  readonly key: string;
  readonly says: string;
  readonly part: Partial<Grade>;
  readonly again?: Partial<Grade>;
}
export const MARK_KEYS: readonly MarkKey[] = [
  { key: 'p', says: 'did his job', part: { assignment: 'right', technique: 'plus', faults: [], counts: true } },
  { key: 'x', says: 'technique minus', part: { technique: 'minus' } },
  { key: 'w', says: 'wrong man', part: { assignment: 'wrong' } },
  { key: 'e', says: 'not his fault', part: { assignment: 'not his fault' } },
  {
    key: 'q',
    says: 'cannot tell, ask',
    part: { assignment: 'cannot tell' },
    again: { technique: 'cannot tell' },
  },
];

/** Gives a man the mark of a key. */
export function markBy(film: Film, man: string, { part, again }: MarkKey): void {
  film.change(man, again && film.marks[man]?.assignment === part.assignment ? again : part);
}

const markOf = (film: Film, man: string): Grade => film.marks[man] ?? film.done;
export const askedOfMan = (film: Film, man: string | null): Assignment | null =>
  film.snap?.resolution.assignments.find((a) => a.blocker === man) ?? null;

/** Tags a fault, or takes it away again; with the first one the technique is a minus. */
export function toggleFault(film: Film, man: string, fault: string): void {
  const { faults } = markOf(film, man);
  if (faults.includes(fault)) return film.change(man, { faults: faults.filter((f) => f !== fault) });
  film.change(man, { technique: 'minus', faults: [...faults, fault].slice(-6) });
}

export function toggleFact(film: Film, man: string, fact: FactId): void {
  const { facts } = markOf(film, man);
  film.change(man, { facts: facts.includes(fact) ? facts.filter((f) => f !== fact) : [...facts, fact] });
}

/** Writes down the fact of a letter; `false` when it is none. */
export function factBy(film: Film, letter: string): unknown {
  const fact = (Object.keys(FACTS) as FactId[]).find((id) => FACT_KEYS[id] === letter);
  return fact && film.selected ? toggleFact(film, film.selected, fact) : false;
}

/** The next of several values, then none. */
export function nextOf<T>(values: readonly T[], now: T | null | undefined): T | null {
  const at = now === null || now === undefined ? -1 : values.indexOf(now);
  return values[at + 1] ?? null;
}

/** What a miss can have meant; what the film makes of it comes first. */
export function meantFor(film: Film, man: string): readonly Consequence[] {
  const seen = film.proposals[man]?.cost?.consequence;
  return seen ? [seen, ...CONSEQUENCES.filter((c) => c !== seen)] : CONSEQUENCES;
}

/** What a part of a block, or of a double, can be; and how a block can end. */
export const PHASE_MARKS = PhaseMarkSchema.options;
const OUTCOMES = OutcomeSchema.options;

/** A part of the block: done, not, cannot tell, not marked. */
export function turnPhase(film: Film, man: string, index: number): unknown {
  const asked = askedOfMan(film, man);
  const line = asked && phasesOf(asked.block, asked.technique?.role ?? 'alone')[index];
  if (!line) return false;
  const { phases } = markOf(film, man);
  const now = nextOf(PHASE_MARKS, phases[line.phase]);
  const rest = Object.fromEntries(Object.entries(phases).filter(([phase]) => phase !== line.phase));
  return film.change(man, { phases: now ? { ...rest, [line.phase]: now } : rest });
}

/** Everybody who has the man together with him, himself first. */
export const pairOf = (film: Film, man: string): string[] => [man, ...(askedOfMan(film, man)?.partners ?? [])];

/** Marks of a double stand with both its men; `false` for a man who is alone. */
export function changePair(film: Film, man: string, part: (now: PairMark | null) => Partial<PairMark>): unknown {
  const men = pairOf(film, man);
  if (men.length < 2) return false;
  return film.changePair(men, part(markOf(film, man).pair));
}

/** Points go up or down by one, where the rubric has any. */
export function addPoints(film: Film, man: string, by: number): unknown {
  const mark = markOf(film, man);
  if (!rubricOf(mark.rubric).parts.includes('points')) return false;
  return film.change(man, { points: Math.min(4, Math.max(0, (mark.points ?? film.done.points ?? 3) + by)) });
}

const OF_MAN = { group: 'The man in hand', staff: true, keeps: true, marks: true } as const;

/** Every key of the grade pad, once. */
export const PAD_HANDS: readonly Hand[] = [
  ...MARK_KEYS.map((mark): Hand => ({
    key: mark.key,
    cap: mark.key,
    says: mark.says,
    ...OF_MAN,
    does: onMan((film, man) => markBy(film, man, mark)),
  })),
  {
    name: 'finish',
    key: 'X',
    cap: 'shift x',
    says: 'finish minus, where the rubric asks for it',
    ...OF_MAN,
    does: onMan((film, man) =>
      rubricOf(markOf(film, man).rubric).parts.includes('finish') ? film.change(man, { finish: 'minus' }) : false,
    ),
  },
  {
    name: 'pointsUp',
    key: '+',
    cap: '+',
    says: 'a point more, where the rubric has points',
    ...OF_MAN,
    does: onMan((film, man) => addPoints(film, man, 1)),
  },
  {
    name: 'pointsDown',
    key: '-',
    cap: '-',
    says: 'a point less',
    ...OF_MAN,
    does: onMan((film, man) => addPoints(film, man, -1)),
  },
  ...FAULT_KEYS.map((key, i): Hand => ({
    key,
    cap: key,
    says: `fault ${i + 1} of his block`,
    ...OF_MAN,
    does: onMan((film, man) => {
      const own = usePlaybook().program.faults ?? [];
      const fault = faultsOffered(askedOfMan(film, man)?.block ?? '', own, FAULT_KEYS.length)[i];
      return fault ? toggleFault(film, man, fault) : false;
    }),
  })),
  ...PHASE_KEYS.map((key, i): Hand => ({
    key,
    cap: `shift ${key.toLowerCase()}`,
    says: `part ${i + 1} of his block: done, not, cannot tell`,
    ...OF_MAN,
    does: onMan((film, man) => turnPhase(film, man, i)),
  })),
  {
    name: 'outcome',
    key: 'O',
    cap: 'shift o',
    says: 'how the block ended, by its own standard',
    ...OF_MAN,
    does: onMan((film, man) => film.change(man, { outcome: nextOf(OUTCOMES, markOf(film, man).outcome) })),
  },
  {
    name: 'moved',
    key: 'P',
    cap: 'shift p',
    says: 'the double moved him, for both men',
    ...OF_MAN,
    does: onMan((film, man) => changePair(film, man, (now) => ({ movement: nextOf(PHASE_MARKS, now?.movement) }))),
  },
  {
    name: 'hips',
    key: 'H',
    cap: 'shift h',
    says: 'their hips were together, for both men',
    ...OF_MAN,
    does: onMan((film, man) => changePair(film, man, (now) => ({ hips: nextOf(PHASE_MARKS, now?.hips) }))),
  },
  {
    name: 'left',
    key: 'E',
    cap: 'shift e',
    says: 'he left the double: in time, early, late',
    ...OF_MAN,
    does: onMan((film, man) =>
      changePair(film, man, (now) => {
        const when = nextOf(['in time', 'early', 'late'] as const, now?.left === man ? now.when : null);
        return { left: when ? man : null, when };
      }),
    ),
  },
  {
    name: 'facts',
    key: '.',
    cap: '.',
    says: 'a fact: then its letter',
    ...OF_MAN,
    does: onMan(() => true),
  },
  {
    name: 'consequence',
    key: ',',
    cap: ',',
    says: 'what it meant: harmless, costly, fatal',
    ...OF_MAN,
    does: onMan((film, man) =>
      film.change(man, { consequence: nextOf(meantFor(film, man), markOf(film, man).consequence) }),
    ),
  },
  {
    name: 'frame',
    key: 'M',
    cap: 'shift m',
    says: 'mark this frame of him',
    ...OF_MAN,
    does: onMan((_film, _man, h) => h.frame()),
  },
  { name: 'note', key: 'n', cap: 'n', says: 'a note', ...OF_MAN, does: onMan((_film, _man, h) => h.note()) },
  {
    name: 'take',
    key: 'T',
    cap: 'shift t',
    says: 'what the film proposes for him',
    ...OF_MAN,
    does: onMan((film, man) => (film.proposals[man] ? film.takeProposed([man]) : false)),
  },
  {
    name: 'noPart',
    key: '0',
    cap: '0',
    says: 'had no part in it: in no count of his',
    ...OF_MAN,
    does: onMan((film, man) => film.mark(man, { ...film.done, counts: false })),
  },
  {
    name: 'none',
    key: 'Backspace',
    cap: '⌫',
    says: 'no mark',
    ...OF_MAN,
    does: onMan((film, man) => film.mark(man, null)),
  },
];

/** What is printed on the key of the pad that does the same as a button. */
export const padCap = (name: NonNullable<Hand['name']>): string => PAD_HANDS.find((h) => h.name === name)!.cap;
