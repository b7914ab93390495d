import { watch } from 'vue';
import { SideSchema } from '#core/model/side';
import { listOf, sayLists, textOf } from '~/features/board/address';
import { START, useWalkthrough, type BoardCall } from './store';

/** Keeps the board and the address bar in step, so that a board can be sent to somebody. */
export function useBoardAddress(): void {
  const route = useRoute();
  const router = useRouter();
  const board = useWalkthrough();
  const { query } = route;
  if (Object.keys(query).length > 0 || !board.front) {
    const side = SideSchema.safeParse(textOf(query.side, START.side));
    const next: BoardCall = {
      scheme: textOf(query.play, START.scheme),
      side: side.success ? side.data : START.side,
      formation: textOf(query.formation, START.formation),
      front: textOf(query.front, START.front),
      tags: listOf(query.tags),
      without: listOf(query.without),
      moves: listOf(query.moves),
      on: textOf(query.on, START.on),
    };
    board.setUp(START);
    board.setUp(next);
    if (!side.success) board.refuse(String(query.side));
  }
  watch([() => board.call, () => board.frontText], () => {
    const { scheme, side, formation, tags, without, moves, on } = board.call;
    void router.replace({
      query: {
        play: scheme,
        side,
        formation,
        front: board.frontText,
        ...sayLists({ tags, without, moves }),
        ...(on ? { on } : {}),
      },
    });
  });
}
