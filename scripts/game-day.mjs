// A simulated game day: the cameras drop the demo's clips into a watched folder one after the other, each written bit by bit.
// node scripts/game-day.mjs FOLDER [--first N] [--every SECONDS]
import { appendFileSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';

const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: { first: { type: 'string', default: '17' }, every: { type: 'string', default: '5' } },
});
const [folder] = positionals;
const [first, every] = [Number(values.first), Number(values.every)];
if (!folder || !Number.isInteger(first) || !(every >= 0)) {
  console.error(
    'node scripts/game-day.mjs FOLDER [--first N] [--every SECONDS]: where the clips go, the number of the first snap, the pause between snaps',
  );
  process.exit(2);
}
const wait = (seconds) => new Promise((later) => setTimeout(later, seconds * 1000));
const film = fileURLToPath(new URL('../demo/film/', import.meta.url));
const snaps = [...new Set(readdirSync(film).flatMap((f) => /^snap-(\d+)-.*\.webm$/.exec(f)?.[1] ?? []))].sort();
const PARTS = 4;
for (const [i, snap] of snaps.entries()) {
  for (const angle of ['end-zone', 'sideline']) {
    const bytes = readFileSync(join(film, `snap-${snap}-${angle}.webm`));
    const file = join(folder, `snap ${first + i} ${angle.replace('-', ' ')}.webm`);
    writeFileSync(file, '');
    for (let part = 0; part < PARTS; part++) {
      appendFileSync(file, bytes.subarray((part * bytes.length) / PARTS, ((part + 1) * bytes.length) / PARTS));
      await wait(0.3);
    }
    console.log(file);
  }
  await wait(every);
}
