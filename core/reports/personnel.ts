import type { Formation } from '../model/formation';

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five'];
const say = (count: number, what: string): string => `${COUNTS[count] ?? count} ${what}${count === 1 ? '' : 's'}`;

/** Who is on the field besides the five and the quarterback, as far as the formation says: "one back, two tight ends". */
export function sayPersonnel({ men }: Formation): string {
  const count = (...kinds: string[]): number => men.filter((m) => kinds.includes(m.kind)).length;
  const wide = count('slot', 'wide');
  const parts = [say(count('back', 'fullback'), 'back'), say(count('tight', 'wing', 'hback'), 'tight end')];
  return [...parts, ...(wide ? [say(wide, 'receiver')] : [])].join(', ');
}
