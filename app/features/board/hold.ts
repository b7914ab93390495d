const STEP = 0.5;
const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, STEP],
  ArrowDown: [0, -STEP],
};

/** By how much an arrow key moves a man in hand, feet across and upfield; `null` for any other key. The key goes no further. */
export function nudgeOf(event: KeyboardEvent): readonly [number, number] | null {
  const move = MOVES[event.key];
  if (!move) return null;
  event.preventDefault();
  event.stopPropagation();
  return move;
}
