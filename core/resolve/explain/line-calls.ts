import { isHeadUp } from '../../identify/line';
import type { LineCall } from '../../model/resolution';
import type { CallMeaning, CallWords } from '../../model/call-words';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { Outcome } from '../allot/outcome';
import { mikeOf } from './mike';
import { sharedRushers } from './shared-rushers';

/** Calls in the order they are spoken: tackles to the centre, the centre's Mike, then pair and single calls from the ball out. */
export function lineCalls(outcome: Outcome, words: CallWords): LineCall[] {
  const { scene } = outcome.settled;
  const [sideCall, mike] = [scene.facts.sideCall(), mikeOf(outcome.settled.call, scene)];
  const calls: LineCall[] = [];
  const say = (from: string, to: string, meaning: CallMeaning, id = ''): void => {
    calls.push({ from, to, meaning, word: words[meaning].replace('{id}', id) });
  };
  for (const [tackle, side] of [
    ['LT', 'left'],
    ['RT', 'right'],
  ] as const) {
    if (scene.men.some((m) => m.id === tackle)) say(tackle, 'C', sideCall[side].call);
  }
  if (mike.id) say('C', 'all', 'mike', mike.id);
  const { tells } = outcome.settled.call;
  if (tells) {
    const headUp = (scene.on[tells.tackle] ?? []).some((d) =>
      isHeadUp(scene.defenders[d]!.x, scene.men[tells.tackle]!.x),
    );
    say(scene.men[tells.tackle]!.id, scene.men[tells.end]!.id, headUp ? 'headUp' : 'clear');
  }
  const shared = sharedRushers(outcome);
  const fromBall = outcome.men
    .filter((m) => m.man < scene.lineCount)
    .sort(
      (a, b) =>
        Math.abs(scene.men[a.man]!.x) - Math.abs(scene.men[b.man]!.x) || scene.men[b.man]!.x - scene.men[a.man]!.x,
    );
  for (const plan of fromBall) {
    const meaning = callOf(scene, plan);
    const share = shared.find((s) => s.men[0] === plan.man);
    if (share) say(scene.men[share.men[0]]!.id, scene.men[share.men[1]]!.id, 'share');
    if (meaning) say(scene.men[plan.man]!.id, hearer(scene, plan), meaning);
  }
  return calls;
}

/** What he has to tell a neighbour, if anything. */
export function callOf(scene: Scene, plan: Outcome['men'][number]): CallMeaning | null {
  const call = BLOCKS[plan.block].call as CallMeaning | null;
  if (call === 'pair') return plan.partners.length && scene.proposals[plan.man]!.pairs ? 'pair' : null;
  if (call === 'solo') return plan.target === NOBODY ? null : 'solo';
  return call;
}

/** His partner; else the neighbour on the inside. */
function hearer(scene: Scene, plan: Outcome['men'][number]): string {
  if (plan.partners.length) return scene.men[plan.partners[0]!]!.id;
  const self = scene.men[plan.man]!;
  const inside = self.x > 0 ? self.backside : self.playside;
  return inside === NOBODY ? 'C' : scene.men[inside]!.id;
}
