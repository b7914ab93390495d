import { identify } from '../identify/identify';
import type { Front } from '../model/front';
import { otherSide } from '../model/side';
import { prepareCall, type Prepared } from '../resolve/prepare/prepare-call';
import { toggleTag } from '../resolve/prepare/tags';
import type { PressureProof } from '../model/pressure';
import { provePressures, type Rushers } from './prove';

/** One thing changed about a protection, and what it is then short against. */
export interface ProtectionMend {
  readonly what: string;
  /** What to do, for whoever applies it. */
  readonly change:
    | { readonly kind: 'side' }
    | { readonly kind: 'mike'; readonly id: string }
    | { readonly kind: 'tag'; readonly tag: string; readonly on: boolean };
  readonly short: number;
  readonly late: number;
}

/** What would make a protection short less often on this front: another man declared, the other side, a tag on or off; the best first. */
export function mendProtection(
  prepared: Prepared,
  front: Front,
  now: PressureProof,
  rushers: Rushers = {},
): ProtectionMend[] {
  const { scheme, formation, call, tags } = prepared;
  const { linebackers, walkedUp, edge } = identify(formation, front, call);
  const others = [...linebackers.ids, ...walkedUp.ids, ...edge.left.overhangs, ...edge.right.overhangs];
  const tries: { what: string; change: ProtectionMend['change']; call: Prepared['call'] }[] = [
    {
      what: `call it ${otherSide(call.side)}`,
      change: { kind: 'side' },
      call: { ...call, side: otherSide(call.side) },
    },
    ...[...new Set(others)]
      .filter((id) => id !== now.mike)
      .map((id) => ({
        what: `declare ${id}`,
        change: { kind: 'mike' as const, id },
        call: { ...call, overrides: { ...call.overrides, mike: id } },
      })),
    ...scheme.tags.map(({ name }) => {
      const on = !tags.has(name);
      return {
        what: `${on ? 'with' : 'without'} ${name}`,
        change: { kind: 'tag' as const, tag: name, on },
        call: { ...call, ...toggleTag(scheme, call, name) },
      };
    }),
  ];
  const better = (a: { short: number; late: number }): number => a.short * 1000 + a.late;
  return tries
    .map(({ what, change, call: other }) => {
      const { counts } = provePressures(prepareCall(scheme, formation, other), front, rushers);
      return { what, change, short: counts.short, late: counts.late };
    })
    .filter((m) => better(m) < better(now.counts))
    .sort((a, b) => better(a) - better(b));
}
