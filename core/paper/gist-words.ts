import type { Assignment } from '../model/resolution';
import { blockWord } from '../plan/say-number';

/** What a man does, as short as it can be said: "RG double T with RT to W". */
export function gistWords({
  blocker,
  block,
  target,
  partners,
  next,
}: Pick<Assignment, 'blocker' | 'block' | 'target' | 'partners' | 'next'>): string {
  const whom = target === null ? '' : ` ${target}`;
  const pair = partners.length ? ` with ${partners.join(' and ')}` : '';
  return `${blocker} ${blockWord(block)}${whom}${pair}${next ? ` to ${next}` : ''}`;
}
