import type { Span } from '../../diagnostics/diagnostic';
import { SHOULDER_WIDTH } from '../../geometry/tolerances';
import { isOnLine, type Blocker, type BlockerKind, type Formation } from '../../model/formation';
import { signOf, type Side } from '../../model/side';

export interface PlannedSeat {
  readonly id: string;
  readonly kind: BlockerKind;
  readonly side: Side | null;
  /** His place where it is said in feet. */
  readonly at?: { readonly x: number; readonly y: number };
  readonly span: Span;
}

export interface SeatPlan {
  /** The line as written; attached ends anywhere in it. */
  line: PlannedSeat[];
  off: PlannedSeat[];
  /** Splits in feet from each man's inside neighbour. */
  splits: Map<string, { feet: number; span: Span }>;
  split: number | null;
  /** Linemen who move outside the last one on a side. */
  over: { id: string; to: Side; span: Span }[];
  quarterback: Formation['quarterback'];
}

/** Space between shoulders, in feet, when nothing is said. */
export const USUAL_SPLIT = 2;

/** Depths and widths of everyone off the line, in feet. */
const OFF = {
  wingOut: 3,
  wingDepth: -3,
  hOut: 1,
  hDepth: -4.5,
  slotX: 27,
  slotDepth: -3,
  wideX: 48,
  beside: 4,
  besideDepth: -15,
  behindDepth: -21,
  fullbackDepth: -12,
};

/** Works out everybody's place. Men on the line come first, left to right. */
export function placeFormation(plan: SeatPlan): Blocker[] {
  const line = placeLine(orderLine(plan), plan);
  const edge = { left: line[0]!, right: line[line.length - 1]! };
  return [...line, ...plan.off.map((seat) => placeOff(seat, edge, line))];
}

/** Line order, left to right: the five as written, tackles moved over, attached ends outside. */
function orderLine(plan: SeatPlan): PlannedSeat[] {
  const five = plan.line.filter((s) => s.kind === 'line');
  const order = [...five];
  for (const { id, to } of plan.over) {
    const at = order.findIndex((s) => s.id === id);
    if (at < 0) continue;
    const [moved] = order.splice(at, 1);
    if (to === 'right') order.push(moved!);
    else order.unshift(moved!);
  }
  const ends = plan.line.filter((s) => s.kind === 'tight');
  const left = ends.filter((s) => s.side === 'left');
  const right = ends.filter((s) => s.side === 'right');
  const byHabit = (a: PlannedSeat, b: PlannedSeat): number => Number(b.id === 'Y') - Number(a.id === 'Y');
  return [...[...left].sort(byHabit).reverse(), ...order, ...[...right].sort(byHabit)];
}

function placeLine(order: readonly PlannedSeat[], plan: SeatPlan): Blocker[] {
  const centre = order.findIndex((s) => s.id === 'C');
  const step = (seat: PlannedSeat): number =>
    SHOULDER_WIDTH + (plan.splits.get(seat.id)?.feet ?? plan.split ?? USUAL_SPLIT);
  const xs = new Array<number>(order.length).fill(0);
  for (let i = centre + 1; i < order.length; i++) xs[i] = xs[i - 1]! + step(order[i]!);
  for (let i = centre - 1; i >= 0; i--) xs[i] = xs[i + 1]! - step(order[i]!);
  return order.map((seat, i) => ({ id: seat.id, kind: seat.kind, x: xs[i]!, y: seat.id === 'C' ? 0 : -1 }));
}

function placeOff(seat: PlannedSeat, edge: Record<Side, Blocker>, line: readonly Blocker[]): Blocker {
  if (seat.at) return { id: seat.id, kind: seat.kind, x: seat.at.x === 0 ? 0 : seat.at.x, y: seat.at.y };
  const side = seat.side ?? 'right';
  const sign = signOf(side);
  const tackle = line
    .filter((m) => isOnLine(m) && m.kind === 'line')
    .reduce((best, m) => (m.x * sign > best.x * sign ? m : best));
  const at = (x: number, y: number): Blocker => ({ id: seat.id, kind: seat.kind, x, y });
  switch (seat.kind) {
    case 'wing':
      return at(edge[side].x + OFF.wingOut * sign, OFF.wingDepth);
    case 'hback':
      return at(tackle.x + OFF.hOut * sign, OFF.hDepth);
    case 'slot':
      return at(OFF.slotX * sign, OFF.slotDepth);
    case 'wide':
      return at(OFF.wideX * sign, -1);
    case 'fullback':
      return at(seat.side ? OFF.beside * sign : 0, OFF.fullbackDepth);
    default:
      return seat.side ? at(OFF.beside * sign, OFF.besideDepth) : at(0, OFF.behindDepth);
  }
}
