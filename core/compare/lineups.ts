import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';
import { resolve } from '../movement/play';
import type { CompiledScheme } from '../resolve/prepare/compile';
import type { Call } from '../resolve/prepare/prepare-call';

/** One way of lining up for a play, and what comes of it. */
export interface LineupAnswer {
  readonly verdict: Resolution['verdict'];
  /** Hats and surplus at the point of attack, in words. */
  readonly numbers: string;
  readonly surplus: number | null;
  /** Defenders of the box nobody blocks, reads or leaves, and those read or left. */
  readonly free: readonly string[];
  readonly left: readonly string[];
}

/** Men who can go in motion across the formation: off the line and not in the middle of it. */
export const canMotion = (formation: Formation): string[] =>
  formation.men
    .filter((m) => ['hback', 'wing', 'slot', 'wide', 'back'].includes(m.kind) && Math.abs(m.x) > 1)
    .map((m) => m.id);

/** The formation once a man has gone in motion to where his place is on the other side. */
export const afterMotion = (formation: Formation, id: string): Formation => ({
  ...formation,
  name: `${formation.name}, ${id} in motion`,
  men: formation.men.map((m) => (m.id === id ? { ...m, x: -m.x } : m)),
});

/** What a play comes to from a formation, in numbers and in who is left. */
export function answerFrom(scheme: CompiledScheme, formation: Formation, front: Front, call: Call): LineupAnswer {
  const { verdict, identification, defenders } = resolve(scheme, formation, front, call);
  const ids = (...status: string[]): string[] => defenders.filter((d) => status.includes(d.status)).map((d) => d.id);
  return {
    verdict,
    numbers: identification.numbers.because,
    surplus: identification.numbers.surplus,
    free: ids('free').filter((id) => identification.box.ids.includes(id)),
    left: ids('read', 'left'),
  };
}
