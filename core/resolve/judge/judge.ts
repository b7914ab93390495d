import type { Problem, ProblemCode } from '../../model/resolution';
import type { Settings } from '../../model/settings';
import type { CompiledScheme } from '../prepare/compile';
import {
  Case,
  changesOfPlay,
  cycles,
  lostPartners,
  sharedUnasked,
  withoutJob,
  type Fault,
  type Judgement,
} from './judge-case';
import type { Aim } from '../prepare/prepare-call';
import { judgePass } from './judge-pass';
import { judgeRun } from './judge-run';
import type { Outcome } from '../allot/outcome';

/** Which faults break a play; the others put it at risk. */
const SEVERITY: Record<ProblemCode, Problem['severity']> = {
  'free-at-attack': 'broken',
  'free-on-line': 'risk',
  'two-on-one': 'broken',
  idle: 'broken',
  'partner-cannot-come': 'broken',
  cycle: 'broken',
  'reach-too-far': 'risk',
  'climb-too-far': 'risk',
  crossing: 'risk',
  'pull-late': 'risk',
  'vacated-gap': 'risk',
  'free-linebacker': 'risk',
  'free-rusher': 'broken',
  'hot-rusher': 'risk',
  'set-late': 'risk',
  'bad-match': 'risk',
  'scan-across': 'risk',
};

export const isBreaking = (code: ProblemCode): boolean => SEVERITY[code] === 'broken';

/** A call worked out against one front, as a compact decision record: who does what and what is wrong with it, nothing said yet. */
export interface Worked {
  readonly outcome: Outcome;
  readonly judgement: Judgement;
}

/** Every fault of a resolution by name, and the verdict they add up to. */
export function judge(scheme: CompiledScheme, outcome: Outcome, aim: Aim, settings: Settings): Judgement {
  const judged = new Case(scheme, outcome, aim, settings);
  sharedUnasked(judged);
  lostPartners(judged);
  cycles(judged);
  if (aim.pocket) judgePass(judged, aim.pocket);
  else judgeRun(judged);
  withoutJob(judged);
  changesOfPlay(judged);
  const { faults, notes } = judged;
  return {
    faults,
    notes,
    verdict: faults.some((f) => SEVERITY[f.code] === 'broken') ? 'broken' : faults.length ? 'at risk' : 'sound',
  };
}

/** What makes two faults the same one: its kind and everybody involved, by name. */
export function faultKey({ settled: { scene } }: Outcome, { code, men, defenders }: Fault): string {
  let key: string = code;
  for (const m of men) key += ` ${scene.men[m]!.id}`;
  for (const d of defenders) key += ` ${scene.defenders[d]!.id}`;
  return key;
}

/** A fault as a problem of the resolution: names, lines and its sentence. */
export function explainFault(outcome: Outcome, fault: Fault): Problem {
  const { scene, sheets } = outcome.settled;
  const lineOf = (man: number): number[] => {
    const sentence = outcome.men.find((m) => m.man === man)?.sentence ?? -1;
    return sentence < 0 ? [] : [sheets[man]![sentence]!.line];
  };
  return {
    code: fault.code,
    severity: SEVERITY[fault.code],
    message: fault.say(),
    who: [...fault.men.map((m) => scene.men[m]!.id), ...fault.defenders.map((d) => scene.defenders[d]!.id)],
    lines: fault.lines ? fault.lines() : fault.men.flatMap(lineOf),
  };
}
