import { watch } from 'vue';
import { SideSchema } from '#core/model/side';
import { listOf, sayLists, textOf } from '~/features/board/address';
import { START, useProtection } from './store';

/** Keeps the protection and the address bar in step. */
export function useProtectionAddress(): void {
  const route = useRoute();
  const router = useRouter();
  const p = useProtection();
  const { query } = route;
  if (Object.keys(query).length > 0 || !p.front) {
    const side = SideSchema.safeParse(textOf(query.side, START.side));
    const scheme = textOf(query.play, START.scheme);
    const usual = p.protections.find((x) => x.id === scheme)?.from ?? START.formation;
    p.setUp(START);
    p.setUp({
      scheme,
      side: side.success ? side.data : START.side,
      formation: textOf(query.formation, usual),
      front: textOf(query.front, START.front),
      tags: listOf(query.tags),
      without: listOf(query.without),
      mike: textOf(query.mike, ''),
    });
    const [rush, twist] = [listOf(query.rush), listOf(query.twist)];
    if (rush.length) p.choose(rush, twist.length === 2 ? [twist[0]!, twist[1]!] : null);
  }
  watch([() => p.call, () => p.chosen], () => {
    const { scheme, side, formation, front, tags, without, mike } = p.call;
    const lists = {
      tags,
      without,
      mike: mike ? [mike] : [],
      rush: p.chosen?.rushers ?? [],
      twist: p.chosen?.twist ?? [],
    };
    void router.replace({ query: { play: scheme, side, formation, front, ...sayLists(lists) } });
  });
}
