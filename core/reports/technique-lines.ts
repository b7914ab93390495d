import { STEP_SAYS } from '../vocabulary/step-words';
import type { Assignment, Resolution } from '../model/resolution';
import { shoulderOf } from './shoulder';

/** One line of a man’s technique: what it is about, and what is asked. */
export interface TechniqueLine {
  readonly name: string;
  readonly says: string;
}

/** What the program’s schools say. */
const OURS = 'Our way';

/** A man’s stance in words: "Three-point, right hand, right foot back heel to instep". */
export function sayStance({ technique }: Pick<Assignment, 'technique'>): string {
  if (!technique) return '';
  const { kind, hand, back, stagger } = technique.stance;
  return [
    kind,
    ...(hand ? [`${hand} hand down`] : []),
    ...(kind === 'upright' ? [] : [back === null ? 'feet even' : `${back} foot back ${stagger}`]),
  ].join(', ');
}

/**
 * What is asked of a man, from the ground up; the order in which it is taught and graded. Empty where it was not worked out. The shoulder is
 * said where the whole answer is at hand: in protection there is none.
 */
export function techniqueLines(
  assignment: Assignment,
  resolution: Pick<Resolution, 'passing'> | null = null,
): TechniqueLine[] {
  const { technique, step, aim, eyes } = assignment;
  if (!technique || step.kind === 'none') return [];
  const { head, hand, pad, landmark, length, schools, stepsWith } = technique;
  const shoulder = resolution && shoulderOf(assignment, resolution);
  const kind = STEP_SAYS[step.kind] ?? step.kind;
  const first = length === 'none' ? kind : `${length} ${kind}`;
  const foot = `${step.foot} foot${stepsWith === 'either foot' ? '' : `, the ${stepsWith.split(' ')[0]} one`}`;
  return [
    { name: 'Stance', says: sayStance(assignment) },
    { name: 'First step', says: `${first}, ${foot}` },
    { name: 'Second step', says: landmark },
    { name: 'Aim', says: aim },
    { name: 'Eyes', says: eyes },
    ...(head === 'none' ? [] : [{ name: 'Head', says: head }]),
    ...(shoulder ? [{ name: 'Shoulder', says: shoulder }] : []),
    ...(hand === 'none' ? [] : [{ name: 'Pressure', says: hand === 'both' ? 'both hands' : `${hand} hand` }]),
    { name: 'Pads', says: pad },
    ...schools.map((says) => ({ name: OURS, says })),
  ];
}

/** The same in one sentence, as it stands beside a mark; empty where it was not worked out. */
export function sayTechnique(assignment: Assignment): string {
  const lines = techniqueLines(assignment).map((l) => (l.name === OURS ? l.says : `${l.name.toLowerCase()} ${l.says}`));
  const said = lines.join('; ');
  return said === '' ? '' : `${said[0]!.toUpperCase()}${said.slice(1)}.`;
}
