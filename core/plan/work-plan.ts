import { wordDiagnostic } from '../diagnostics/wording';
import { Playbook, type OwnText } from '../calls/playbook';
import { workCall, type WorkedCall } from '../calls/resolve-call';
import type { Mending } from '../compare/mend';
import type { CallWords } from '../model/call-words';
import type { Verdict } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { Call } from '../model/snap';
import type { WeekPlan } from '../model/week-plan';
import { verdictSentence } from '../reports/verdict-sentence';
import { lossesOf, type Loss } from './losses';
import { mendOf } from './mends';

/** Calls as plain data, so that they can cross to a worker. */
export interface PlanJob {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly words: CallWords;
  readonly calls: readonly Call[];
}

/** What a man is asked in one call. */
export interface AskedMan {
  readonly seat: string;
  readonly block: string;
  readonly target: string | null;
  readonly partners: readonly string[];
  /** The sentence of his rule that says so, and what he says at the line. */
  readonly sentence: string;
  readonly call: string | null;
}

/** What is known of one call; `call` is its place in the job. */
export interface CallCell {
  readonly kind: 'cell';
  readonly call: number;
  readonly verdict: Verdict;
  readonly sentence: string;
  /** The ball is thrown. */
  readonly throws: boolean;
  /** What the run gains before a man nobody has meets it, yards; `null` for a throw, or when nobody does. */
  readonly yards: number | null;
  readonly asked: readonly AskedMan[];
}
/** A call that could not be worked out, and why. */
export interface CallGap {
  readonly kind: 'gap';
  readonly call: number;
  readonly problem: string;
}
/** What each single lost block would do to it. */
export interface CallLosses {
  readonly kind: 'losses';
  readonly call: number;
  readonly losses: readonly Loss[];
}
/** The smallest change that would help where it is not sound; `null` where nothing common does. */
export interface CallMend {
  readonly kind: 'mend';
  readonly call: number;
  readonly mend: Mending | null;
}
export type PlanAnswer = CallCell | CallGap | CallLosses | CallMend;

/** Works calls out, one at a time: first who does what in each, then, which takes longer, what each lost block costs and what mends who is not sound. */
export function* workPlan({ own, settings, words, calls }: PlanJob): Generator<PlanAnswer> {
  const ways = { playbook: new Playbook(own, settings), settings, words };
  const worked: { call: number; value: WorkedCall }[] = [];
  for (const [call, called] of calls.entries()) {
    const work = workCall(called, ways);
    if (!work.ok) {
      yield { kind: 'gap', call, problem: work.diagnostics.map(wordDiagnostic).join('; ') };
      continue;
    }
    const { resolution } = work.value;
    worked.push({ call, value: work.value });
    yield {
      ...{ kind: 'cell', call, verdict: resolution.verdict, sentence: verdictSentence(resolution) },
      throws: resolution.passing !== null,
      yards: resolution.expected?.metBy ? resolution.expected.yards : null,
      asked: resolution.assignments.map(({ blocker, block, target, partners, because, call: says }) => ({
        ...{ seat: blocker, block, target, partners, sentence: because.sentence, call: says },
      })),
    };
  }
  for (const { call, value } of worked)
    yield { kind: 'losses', call, losses: lossesOf(value.formation, value.front, value.resolution, settings) };
  for (const { call, value } of worked)
    if (value.resolution.verdict !== 'sound') yield { kind: 'mend', call, mend: mendOf(calls[call]!, value, ways) };
}

/** One play of the week against one look, by their places in the plan; losses are empty until they are worked out. */
export type PlanCell = Omit<CallCell, 'kind' | 'call'> & {
  readonly play: number;
  readonly look: number;
  readonly losses: readonly Loss[] | null;
};

/** Every play of a plan against every look, as a call. */
export const callsOf = ({
  plays,
  looks,
}: Pick<WeekPlan, 'plays' | 'looks'>): { play: number; look: number; call: Call }[] =>
  plays.flatMap(({ scheme, side, tags, formation, formationName }, play) =>
    looks.map(({ front, frontName }, look) => ({
      ...{ play, look },
      call: { scheme, side, tags, formation, formationName, front, frontName, overrides: {} },
    })),
  );
