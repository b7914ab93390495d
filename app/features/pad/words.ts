import { formatDistanceToNow } from 'date-fns';
import type { Assignment } from '#core/model/resolution';
import { blockName } from '~/features/board/words';
import type { Aside } from '~/features/marks/waiting';

/** Why a mark lies aside, and what is to be decided. */
export function sayAside({ kind, says, other }: Aside): string {
  if (kind === 'refused') return `It was not taken: ${says}`;
  if (kind === 'call') return 'The call was changed under it: look at what is asked now, then say which mark stands.';
  return other?.grade
    ? 'Somebody else has marked him meanwhile: which mark stands?'
    : 'Somebody else has taken his mark away meanwhile: which stands?';
}

/** Whom he has: "N, then M". */
export const sayOn = ({ target, next }: Assignment): string =>
  next ? `${target ?? 'next level'}, then ${next}` : (target ?? 'next level');

/** What was asked of him, in one breath: "drive, in pair with C, on N". */
export function sayTask(asked: Assignment): string {
  const block = blockName(asked).toLowerCase();
  const partners = asked.partners.length ? ` with ${asked.partners.join(' and ')}` : '';
  return `${block}${partners}, on ${sayOn(asked)}`;
}

/** How long ago something was, as people say it. */
export const sayWhen = (at: string): string => formatDistanceToNow(new Date(at), { addSuffix: true });
