import fc from 'fast-check';
import { sayFront } from '../language/lineups/print-lineup';
import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom } from '../library/library';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import { SIDES, type Side } from '../model/side';
import { movementMenu } from '../movement/menu';
import { moveFront } from '../movement/move-front';
import { resolve } from '../movement/play';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { doubtsOf, type DoubtKind } from './doubts';
import { aLineup } from './fronts';
import { need } from './need';

/** What a coach would object to, over many fronts of one scheme. */
export interface DoubtSurvey {
  readonly scheme: string;
  readonly fronts: number;
  /** Fronts with a doubt, and those of them whose verdict is "sound". */
  readonly doubtful: number;
  readonly sound: number;
  /** Each of those that was called sound, as it can be typed, with what a coach would object to. */
  readonly called: readonly string[];
  readonly kinds: ReadonlyMap<DoubtKind, number>;
  /** The first front of each kind, as it can be typed. */
  readonly examples: ReadonlyMap<DoubtKind, string>;
}

const load = (id: string): CompiledScheme => need(schemeFrom(libraryText('schemes', id)!));

interface Case {
  readonly formation: Formation;
  readonly front: Front;
  readonly side: Side;
  readonly label: string;
}

function survey(id: string, cases: Iterable<Case>): DoubtSurvey {
  const scheme = load(id);
  const kinds = new Map<DoubtKind, number>();
  const examples = new Map<DoubtKind, string>();
  const called: string[] = [];
  let [fronts, doubtful] = [0, 0];
  for (const { formation, front, side, label } of cases) {
    fronts++;
    const resolution = resolve(scheme, formation, front, { side });
    const after = front.movements.length > 0 ? moveFront(front, formation).front : front;
    const doubts = doubtsOf({ scheme: id, formation, front: after, resolution });
    if (doubts.length === 0) continue;
    doubtful++;
    if (resolution.verdict === 'sound') called.push(`${label}, ${side}: ${doubts.map((d) => d.says).join('; ')}`);
    for (const kind of new Set(doubts.map((d) => d.kind))) {
      kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      if (!examples.has(kind)) examples.set(kind, `${label}, ${side}: ${doubts.find((d) => d.kind === kind)!.says}`);
    }
  }
  return { scheme: id, fronts, doubtful, sound: called.length, called, kinds, examples };
}

/** Every shipped front in the formation the scheme is usually called from, to both sides. */
export function surveyShipped(id: string): DoubtSurvey {
  const formation = need(formationFrom(libraryText('formations', load(id).head.from ?? 'five-man')!));
  const cases = libraryIds('fronts').flatMap((name) => {
    const front = frontFrom(libraryText('fronts', name)!, formation);
    return front.ok ? SIDES.map((side) => ({ formation, front: front.value, side, label: name })) : [];
  });
  return survey(id, cases);
}

/** Random fronts and formations of a seed, every other one with something the front can do after the snap. */
export function surveyRandom(id: string, fronts: number, seed: number): DoubtSurvey {
  const lineups = fc.sample(aLineup, { seed, numRuns: fronts });
  const cases = lineups.map(({ text, formation, front }, i): Case => {
    const menu = movementMenu(front, formation).flatMap((g) => g.moves);
    const moving = i % 2 === 1 && menu.length > 0 ? { ...front, movements: [menu[(i * 7) % menu.length]!] } : front;
    const side: Side = i % 3 === 0 ? 'right' : 'left';
    return { formation, front: moving, side, label: `${text} | ${sayFront(moving, formation)}` };
  });
  return survey(id, cases);
}
