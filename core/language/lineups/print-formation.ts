import { SHOULDER_WIDTH } from '../../geometry/tolerances';
import { trim } from '../../geometry/units';
import { lineOf, type Blocker, type BlockerKind, type Formation } from '../../model/formation';
import { USUAL_SPLIT } from './place-formation';
import { readFormation } from './read-formation';

/** Kinds a text says by a word; the others by the letter alone or by a place. */
const SAID: Partial<Record<BlockerKind, string>> = { tight: 'tight', wing: 'wing', slot: 'slot', wide: 'wide' };
const NEAR = 1e-6;
const inchesOf = (feet: number): number => Math.round(feet * 12);

/** A formation in inline notation: reads back to the same men at the same places. Splits are said to the inch. */
export function sayFormation(formation: Formation, separator = '; '): string {
  const line = lineOf(formation);
  const off = formation.men.filter((m) => !line.includes(m) && m.kind !== 'quarterback');
  const base = [line.map(sayOnLine).join(' '), ...saySplits(line)];
  return [
    ...base,
    ...off.map((man) => sayOff(man, base)),
    ...(formation.quarterback === 'gun' ? [] : [`QB ${formation.quarterback}`]),
    ...formation.motions.map((m) => `motion ${m.man} ${m.side}`),
  ].join(separator);
}

const sideOf = ({ x }: Pick<Blocker, 'x'>): 'left' | 'right' => (x < 0 ? 'left' : 'right');

function sayOnLine(man: Blocker): string {
  if (man.kind === 'line') return man.id;
  return man.id === 'Y' ? `Y ${sideOf(man)}` : `${man.id} tight ${sideOf(man)}`;
}

/** Splits that are not the usual one: one for all when all are alike, else man by man. */
function saySplits(line: readonly Blocker[]): string[] {
  const centre = line.findIndex((m) => m.id === 'C');
  const splits = line.flatMap((man, i) => {
    if (i === centre) return [];
    const inside = line[i < centre ? i + 1 : i - 1]!;
    return [{ id: man.id, inches: inchesOf(Math.abs(man.x - inside.x) - SHOULDER_WIDTH) }];
  });
  const usual = USUAL_SPLIT * 12;
  const [first] = splits;
  if (first && splits.every((s) => s.inches === first.inches))
    return first.inches === usual ? [] : [`split ${first.inches}in`];
  return splits.filter((s) => s.inches !== usual).map((s) => `split ${s.id} ${s.inches}in`);
}

/** A man off the line: by his word and side where that leads to his place, else in feet. */
function sayOff(man: Blocker, base: readonly string[]): string {
  const kind = SAID[man.kind];
  const place = `${man.id} (${trim(man.x, 2)}, ${trim(man.y, 2)})`;
  const words = [man.id, ...(kind ? [kind] : [])].join(' ');
  const tries =
    man.kind === 'back' || man.kind === 'fullback' ? [words, `${words} ${sideOf(man)}`] : [`${words} ${sideOf(man)}`];
  for (const said of tries) {
    const back = readFormation([...base, said].join('; '));
    const same = back.ok && back.value.men.find((m) => m.id === man.id);
    if (same && same.kind === man.kind && Math.hypot(same.x - man.x, same.y - man.y) < NEAR) return said;
  }
  return place;
}
