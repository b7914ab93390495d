import { ORDINALS } from '../../model/standard';
import type { Grade } from '../../model/grade';
import type { AskedItem, SnapItem } from '../../model/game';
import { classOfDistance, classOfGain, classOfZone } from './classes';

/** What is read of a snap, or of what one man was asked on it; the values it may be filtered by. */
interface SnapField {
  readonly of: 'snap';
  readonly name: string;
  readonly values: (snap: SnapItem) => readonly string[];
}
interface ManField {
  readonly of: 'man';
  readonly name: string;
  readonly values: (asked: AskedItem, grade: Grade | null) => readonly string[];
}

const listed = (value: string | null): readonly string[] => (value === null ? [] : [value]);

/** How a man did, as one would ask for it. */
function marksOf(grade: Grade | null): readonly string[] {
  if (!grade) return ['not graded'];
  const said: string[] = [];
  if (grade.assignment === 'right' && grade.technique === 'plus') said.push('did his job');
  if (grade.assignment === 'wrong') said.push('wrong man');
  if (grade.technique === 'minus') said.push('technique minus');
  if (grade.assignment === 'not his fault') said.push('not his fault');
  if (grade.assignment === 'cannot tell' || grade.technique === 'cannot tell') said.push('cannot tell');
  return said;
}

/** Everything snaps can be cut by, once: its key in the address, its name, and what it reads. */
export const CUT_FIELDS = {
  play: { of: 'snap', name: 'play', values: (s) => [s.call.scheme] },
  side: { of: 'snap', name: 'side', values: (s) => [s.call.side] },
  tag: { of: 'snap', name: 'tag', values: (s) => s.call.tags },
  from: { of: 'snap', name: 'formation', values: (s) => [s.call.formationName] },
  front: { of: 'snap', name: 'front', values: (s) => [s.call.frontName] },
  personnel: { of: 'snap', name: 'personnel', values: (s) => (s.logged.personnel ? [s.logged.personnel] : []) },
  quarter: { of: 'snap', name: 'quarter', values: (s) => [String(s.situation.quarter)] },
  series: { of: 'snap', name: 'series', values: (s) => [String(s.situation.series)] },
  down: { of: 'snap', name: 'down', values: (s) => [ORDINALS[s.situation.down - 1]!] },
  distance: { of: 'snap', name: 'distance', values: (s) => [classOfDistance(s.situation.distance)] },
  hash: { of: 'snap', name: 'hash', values: (s) => [s.situation.hash] },
  zone: { of: 'snap', name: 'part of the field', values: (s) => listed(classOfZone(s.situation.toGoal)) },
  gain: { of: 'snap', name: 'yards', values: (s) => [classOfGain(s.situation.gain)] },
  result: { of: 'snap', name: 'result', values: (s) => [s.situation.result] },
  flag: {
    of: 'snap',
    name: 'flag',
    values: (s) => (s.situation.penalty ? [s.situation.penalty.what || 'a flag'] : []),
  },
  counted: { of: 'snap', name: 'in the counts', values: (s) => [s.logged.notCounted ? 'no' : 'yes'] },
  man: { of: 'man', name: 'man', values: (a) => [a.blocker] },
  block: { of: 'man', name: 'block', values: (a) => [a.block] },
  with: { of: 'man', name: 'together with', values: (a) => a.partners },
  mark: { of: 'man', name: 'mark', values: (_a, grade) => marksOf(grade) },
  fault: { of: 'man', name: 'fault', values: (_a, grade) => grade?.faults ?? [] },
} as const satisfies Record<string, SnapField | ManField>;

export type CutField = keyof typeof CUT_FIELDS;
export const CUT_KEYS = Object.keys(CUT_FIELDS) as [CutField, ...CutField[]];
