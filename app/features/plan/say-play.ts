import type { PlannedPlay } from '#core/model/week-plan';
import { schemeName } from '~/features/board/scheme-names';

/** A play of the week as it is said in a sentence. */
export const sayPlayOf = ({ scheme, side, tags }: Pick<PlannedPlay, 'scheme' | 'side' | 'tags'>): string =>
  [schemeName(scheme), side, ...tags].join(' ');
