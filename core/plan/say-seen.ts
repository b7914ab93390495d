import { howMany } from '../vocabulary/how-many';
import type { SeenFront } from '../model/week';

/** How often a front was seen, and when: "7 snaps, week 2, 5". */
export const saySeen = ({ snaps, weeks }: Pick<SeenFront, 'snaps' | 'weeks'>): string =>
  `${howMany(snaps, 'snap')}, week ${weeks.join(', ')}`;
