import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';

/** An answer as a coach sees it: the board and the sheet of paper beside it. */
export interface Answer {
  readonly scheme: string;
  readonly formation: Formation;
  /** As it stands after its movements. */
  readonly front: Front;
  readonly resolution: Resolution;
}
