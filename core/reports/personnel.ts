import type { BlockerKind, Formation } from '../model/formation';

const COUNTS = ['none', 'one', 'two', 'three', 'four', 'five'];
const say = (count: number, what: string): string => `${COUNTS[count] ?? count} ${what}${count === 1 ? '' : 's'}`;

/** Who is on the field besides the five and the quarterback, as far as the formation says: "one back, two tight ends"; "nobody else". */
export function sayPersonnel({ men }: Formation): string {
  const count = (...kinds: BlockerKind[]): number => men.filter((m) => kinds.includes(m.kind)).length;
  const parts = [
    { count: count('back', 'fullback'), what: 'back' },
    { count: count('tight', 'wing', 'hback'), what: 'tight end' },
    { count: count('slot', 'wide'), what: 'receiver' },
  ];
  const said = parts.filter((p) => p.count > 0).map((p) => say(p.count, p.what));
  return said.join(', ') || 'nobody else';
}
