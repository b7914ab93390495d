import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { sayMovement } from '../../language/lineups/read-movement';
import { readMoves } from '../../language/lineups/read-moves';
import { describeMovement, movementMenu } from '../../movement/menu';
import type { Front } from '../../model/front';
import type { Call } from '../../model/snap';

/** That they did nothing after the snap. */
export const STOOD = 'stood still';

const clausesOf = (text: string): string[] =>
  text
    .split(';')
    .map((c) => c.trim())
    .filter(Boolean);

interface Seen {
  readonly front: Front;
  /** The front without what it did. */
  readonly stood: readonly string[];
  readonly moves: readonly string[];
}

/** A called front apart into how they stood and what they did; `null` when it cannot be read. */
function apart(call: Call): Seen | null {
  const formation = readFormation(call.formation);
  if (!formation.ok) return null;
  const front = readFront(call.front, formation.value, 'seen', call.frontName);
  if (!front.ok) return null;
  const clauses = clausesOf(call.front);
  const isMove = (clause: string): boolean => readMoves([clause], front.value).ok;
  return {
    front: front.value,
    stood: clauses.filter((c) => !isMove(c)),
    moves: clauses.filter(isMove),
  };
}

/** What they did after the snap as the call has it, in notation, or that they stood still. */
export const movementSeen = (call: Call): string => apart(call)?.moves.join('; ') || STOOD;

/** What they can have done, in groups: notation and words. What the call has already is among them. */
export function movementsToSee(call: Call): { name: string; items: { id: string; name: string }[] }[] {
  const seen = apart(call);
  const formation = readFormation(call.formation);
  const still = { name: 'Nothing', items: [{ id: STOOD, name: STOOD }] };
  if (!seen || !formation.ok) return [still];
  const now = seen.moves.join('; ');
  const menu = movementMenu({ ...seen.front, movements: [] }, formation.value).map((g) => ({
    name: g.name,
    items: g.moves.map((m) => ({ id: sayMovement(m), name: describeMovement(m) })),
  }));
  const offered = menu.some((g) => g.items.some((i) => i.id === now));
  const own = { name: 'As written', items: [{ id: now, name: seen.front.movements.map(describeMovement).join(', ') }] };
  return [still, ...(now && !offered ? [own] : []), ...menu];
}

/** The call with another movement seen; the front's name says it too. */
export function withMovement(call: Call, movement: string): Pick<Call, 'front' | 'frontName'> {
  const seen = apart(call);
  if (!seen) return { front: call.front, frontName: call.frontName };
  const name = call.frontName.split(',')[0]!;
  const stood = seen.stood.join('; ');
  if (movement === STOOD) return { front: stood, frontName: name };
  const says = movementsToSee(call)
    .flatMap((g) => g.items)
    .find((i) => i.id === movement)?.name;
  return { front: `${stood}; ${movement}`, frontName: `${name}, ${says ?? movement}`.slice(0, 80) };
}
