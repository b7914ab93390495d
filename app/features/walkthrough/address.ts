import { watch } from 'vue';
import { SideSchema } from '#core/model/side';
import { START, useWalkthrough, type BoardCall } from './store';

const list = (value: unknown): string[] => (typeof value === 'string' && value ? value.split(',') : []);
const text = (value: unknown, usual: string): string => (typeof value === 'string' && value ? value.slice(0, 900) : usual);

/** Keeps the board and the address bar in step, so that a board can be sent to somebody. */
export function useBoardAddress(): void {
  const route = useRoute();
  const router = useRouter();
  const board = useWalkthrough();
  const { query } = route;
  if (Object.keys(query).length > 0 || !board.front) {
    const side = SideSchema.safeParse(text(query.side, START.side));
    const next: BoardCall = {
      scheme: text(query.play, START.scheme), side: side.success ? side.data : START.side, formation: text(query.formation, START.formation),
      front: text(query.front, START.front), tags: list(query.tags), without: list(query.without), moves: list(query.moves),
    };
    board.setUp(START);
    board.setUp(next);
    if (!side.success) board.refuse(String(query.side));
  }
  watch([() => board.call, () => board.frontText], () => {
    const { scheme, side, formation, tags, without, moves } = board.call;
    void router.replace({ query: {
      play: scheme, side, formation, front: board.frontText, ...(tags.length ? { tags: tags.join(',') } : {}), ...(without.length ? { without: without.join(',') } : {}), ...(moves.length ? { moves: moves.join(',') } : {}),
    } });
  });
}
