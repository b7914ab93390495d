import type { Assignment, Resolution } from '../model/resolution';
import { otherSide, sideOf, type Side } from '../model/side';
import { BLOCKS, type BlockId } from '../vocabulary/index';

/**
 * The shoulder a man strikes with: the one on the other side of his man than his head goes. `null` in protection, where hands strike, and where
 * his head goes to neither side.
 */
export function shoulderOf(his: Assignment, { side, passing }: Pick<Resolution, 'side' | 'passing'>): Side | null {
  const head = passing ? null : headOf(his, side);
  return head && otherSide(head);
}

/** The side of his man his head goes to. */
function headOf({ technique, block, path }: Assignment, side: Side): Side | null {
  const [from, to] = [path[0]!, path.at(-1)!];
  switch (technique?.head) {
    case 'play side':
      return side;
    case 'back side':
      return otherSide(side);
    case 'across':
      return to.x < from.x ? 'left' : 'right';
    case 'inside':
    case 'outside': {
      // Said of the man he meets where the block says it of every man; else of himself, and the centre has no inside of his own.
      const ofHim = SAID_OF_HIM.includes(BLOCKS[block as BlockId].technique.head);
      const beside = sideOf((ofHim && to.x) || from.x || to.x);
      return beside && (technique.head === 'inside' ? otherSide(beside) : beside);
    }
    default:
      return null;
  }
}

const SAID_OF_HIM: readonly string[] = ['inside', 'outside'];
