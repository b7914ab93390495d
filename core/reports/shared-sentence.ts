import { seconds } from '../geometry/units';
import type { Passing } from '../model/resolution';

/** What two men who have two rushers between them agree on, in a coach's words. */
export function sayShared({ blockers: [inner, outer], on: [near, wide], until }: Passing['shared'][number]): string {
  const two = `${inner} and ${outer} have ${near} and ${wide} between them`;
  return `${two}: whoever comes inside ${outer} is ${inner}’s, whoever stays outside is ${outer}’s. Open until ${seconds(until)} after the snap, when ${near} would be on ${outer}.`;
}
