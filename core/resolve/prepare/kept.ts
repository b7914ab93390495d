import { sayCondition } from '../../language/print';
import type { Condition } from '../../language/tree';
import { UNASKED } from '../../vocabulary/scene';
import { saysAny } from './says-any';

export const NOT_KEPT = -1;

/**
 * The questions of one call whose answer hangs on where people stand and on nobody's choice, each with a place of its own among a scene's
 * `answers`: men come back to them round after round, and several sentences ask the same. What does not speak of the man who asks is one
 * question, whoever asks it.
 */
export class KeptQuestions {
  private readonly places = new Map<string, number>();

  /** Names of the looks that hang on what others have chosen, and of those that speak of whoever asks. */
  constructor(
    private readonly looks: { readonly asking: ReadonlySet<string>; readonly aboutMe: ReadonlySet<string> },
  ) {}

  /** Where the answer is kept; `NOT_KEPT` for a question that has to be asked anew each time. */
  placeOf(question: Condition, me: number): number {
    if (saysAny(question, 'asksOthers', this.looks.asking)) return NOT_KEPT;
    const said = sayCondition(question);
    const key = saysAny(question, 'aboutMe', this.looks.aboutMe) ? `${me} ${said}` : said;
    const known = this.places.get(key);
    if (known !== undefined) return known;
    const place = this.places.size;
    this.places.set(key, place);
    return place;
  }

  /** What a scene begins with. */
  unasked(): readonly number[] {
    return Array.from(this.places, () => UNASKED);
  }
}
