import { wordDiagnostic } from '../diagnostics/wording';
import { Playbook, type OwnText } from '../calls/playbook';
import { workCall, type WorkedCall } from '../calls/resolve-call';
import type { CallWords } from '../model/call-words';
import type { Verdict } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { WeekPlan } from '../model/week-plan';
import { verdictSentence } from '../reports/verdict-sentence';
import { lossesOf, type Loss } from './losses';

/** A week's plan as plain data, so that it can cross to a worker. */
export interface PlanJob {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly words: CallWords;
  readonly plan: WeekPlan;
}

/** What a man is asked in one play against one look. */
export interface AskedMan {
  readonly seat: string;
  readonly block: string;
  readonly target: string | null;
  readonly partners: readonly string[];
}

/** One play of the week against one look; `play` and `look` are places in the plan. */
export interface PlanCell {
  readonly kind: 'cell';
  readonly play: number;
  readonly look: number;
  readonly verdict: Verdict;
  readonly sentence: string;
  /** What the run gains before a man nobody has meets it, yards; `null` for a throw, or when nobody does. */
  readonly yards: number | null;
  readonly asked: readonly AskedMan[];
}
/** A play that could not be worked out against a look, and why. */
export interface PlanGap {
  readonly kind: 'gap';
  readonly play: number;
  readonly look: number;
  readonly problem: string;
}
/** What each single lost block would do to it. */
export interface PlanLosses {
  readonly kind: 'losses';
  readonly play: number;
  readonly look: number;
  readonly losses: readonly Loss[];
}
export type PlanAnswer = PlanCell | PlanGap | PlanLosses;

/** Works a plan out, one play against one look at a time: first who does what everywhere, then, which takes longer, what each lost block costs. */
export function* workPlan({ own, settings, words, plan }: PlanJob): Generator<PlanAnswer> {
  const ways = { playbook: new Playbook(own, settings), settings, words };
  const worked: { play: number; look: number; value: WorkedCall }[] = [];
  for (const [play, called] of plan.plays.entries())
    for (const [look, { front, frontName }] of plan.looks.entries()) {
      const work = workCall({ ...called, front, frontName, overrides: {} }, ways);
      if (!work.ok) {
        yield { kind: 'gap', play, look, problem: work.diagnostics.map(wordDiagnostic).join('; ') };
        continue;
      }
      const { resolution } = work.value;
      worked.push({ play, look, value: work.value });
      yield {
        ...{ kind: 'cell', play, look, verdict: resolution.verdict, sentence: verdictSentence(resolution) },
        yards: resolution.expected?.metBy ? resolution.expected.yards : null,
        asked: resolution.assignments.map(({ blocker, block, target, partners }) => ({
          ...{ seat: blocker, block, target, partners },
        })),
      };
    }
  for (const { play, look, value } of worked)
    yield { kind: 'losses', play, look, losses: lossesOf(value.formation, value.front, value.resolution, settings) };
}
