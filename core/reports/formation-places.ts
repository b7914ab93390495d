import { SHOULDER_WIDTH } from '../geometry/tolerances';
import { feet, inches } from '../geometry/units';
import { lineOf, type BlockerKind, type Formation } from '../model/formation';

const KINDS: Record<BlockerKind, string> = {
  line: 'on the line',
  tight: 'on the line, outside the tackle',
  wing: 'wing',
  hback: 'H',
  fullback: 'fullback',
  back: 'back',
  quarterback: 'quarterback',
  slot: 'slot',
  wide: 'receiver',
};

/** Where each man stands as a coach says it: his split on the line, else what he is, how far out and how deep. From left to right. */
export function describePlaces(formation: Formation): { readonly id: string; readonly says: string }[] {
  const line = lineOf(formation);
  const centre = line.findIndex((m) => m.id === 'C');
  const split = (at: number): string => {
    if (at === centre) return 'over the ball';
    const inside = line[at < centre ? at + 1 : at - 1]!;
    return `${inches(Math.abs(line[at]!.x - inside.x) - SHOULDER_WIDTH)} from ${inside.id}`;
  };
  return [...formation.men]
    .sort((a, b) => a.x - b.x || b.y - a.y)
    .map((man) => {
      const at = line.indexOf(man);
      if (at >= 0) return { id: man.id, says: man.kind === 'tight' ? `end, ${split(at)}` : split(at) };
      const side = man.x === 0 ? 'behind the ball' : `${feet(Math.abs(man.x))} ${man.x < 0 ? 'left' : 'right'}`;
      return { id: man.id, says: `${KINDS[man.kind]}, ${side}, ${feet(-man.y)} deep` };
    });
}
