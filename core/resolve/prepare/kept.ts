import { sayPhrase } from '../../language/print';
import type { Phrase } from '../../language/tree';
import { UNASKED } from '../../vocabulary/scene';
import { saysAny } from './says-any';

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

  /** Where the answer is kept; -1 for a question that has to be asked anew each time. */
  placeOf(phrase: Phrase, me: number): number {
    if (saysAny(phrase, 'asksOthers', this.looks.asking)) return -1;
    const key = saysAny(phrase, 'aboutMe', this.looks.aboutMe) ? `${me} ${sayPhrase(phrase)}` : sayPhrase(phrase);
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
