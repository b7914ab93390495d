import { CONTACT_IDS, HOUSE_RULES, isContact, isWornFor, type Drill, type Gear } from '../model/drill';
import { THEMES, type PracticeWays, type Theme } from '../model/practice';
import type { Settings } from '../model/settings';

const LEVELS: readonly Settings['levelOfPlay'][] = ['youth', 'school', 'adult'];

/** What a day is like, as far as it decides what may be done on it. */
export interface DayRules {
  readonly ways: PracticeWays;
  readonly level: Settings['levelOfPlay'];
  readonly gear: Gear;
  readonly theme: Theme;
}

/** Why a drill is not done on such a day; `null` when it may be. Every rule here is the program's own. */
export function whyNot(drill: Drill, { ways, level, gear, theme }: DayRules): string | null {
  if (drill.house !== 'none' && !ways.house[drill.house]) return `your house does not use ${HOUSE_RULES[drill.house]}`;
  if (drill.house === 'chute' && (drill.atOnce !== 1 || drill.each > 1)) return 'never two under a chute';
  if (LEVELS.indexOf(level) < LEVELS.indexOf(drill.lowest)) return `it is offered from ${drill.lowest} level on`;
  if (!isWornFor(gear, drill.contact)) return `too little is worn for it: ${gear}`;
  if (CONTACT_IDS.indexOf(drill.contact) > CONTACT_IDS.indexOf(THEMES[theme].contact)) return 'the day is light';
  if (isContact(drill.contact) && (ways.contactADay === null || ways.contactAWeek === null))
    return 'no limit for contact has been entered';
  return null;
}

/** Is its technique taught here: is one of its blocks in what the program calls? What every block begins or ends with always is. */
export const isTaught = ({ blocks }: Pick<Drill, 'blocks'>, asked: ReadonlySet<string>): boolean =>
  blocks.length === 0 || blocks.some((b) => asked.has(b));
