import fc from 'fast-check';
import { it } from 'vitest';
import { sayFront } from '../language/lineups/print-lineup';
import { shippedScheme } from '../calls/resolve-call';
import { movementMenu } from '../movement/menu';
import { moveFront } from '../movement/move-front';
import { resolve } from '../movement/play';
import { doubtsOf } from './doubts';
import { aLineup } from './fronts';
import { need } from './need';
it('x', () => {
  const id = process.env.S!;
  const kind = process.env.K ?? 'crossing ways';
  let n = 0,
    moving = 0;
  fc.sample(aLineup, { seed: 11, numRuns: 1000 }).forEach(({ text, formation, front }, i) => {
    const menu = movementMenu(front, formation).flatMap((g) => g.moves);
    const f = i % 2 === 1 && menu.length > 0 ? { ...front, movements: [menu[(i * 7) % menu.length]!] } : front;
    const side = i % 3 === 0 ? ('right' as const) : ('left' as const);
    const r = resolve(need(shippedScheme(id)), formation, f, { side });
    const after = f.movements.length ? moveFront(f, formation).front : f;
    const d = doubtsOf({ scheme: id, formation, front: after, resolution: r }).find((x) => x.kind === kind);
    if (!d) return;
    if (f.movements.length) moving++;
    if (n++ < 12)
      console.log(
        `## ${text} | ${sayFront(f, formation)} | ${side} | ${d.says} | free ${r.defenders.filter((x) => x.status === 'free').map((x) => x.id)} | ` +
          r.assignments.map((a) => `${a.blocker} ${a.block} ${a.target}${a.next ? '>' + a.next : ''}`).join(', '),
      );
  });
  console.log('## total', n, 'moving', moving);
});
