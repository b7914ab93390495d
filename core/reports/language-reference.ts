import { KIND_NAMES, LEAVES } from '../language/templates';
import { BUMPS, COVER_NAMES, ENTRIES, SCHEME_STEPS, TEMPOS, THROWS, TRACKS } from '../model/scheme';
import { WORDS } from '../vocabulary/index';
import { PHRASE_KINDS, type PhraseKind, type Saying } from '../vocabulary/word';

/** What the kinds of phrases are called. */
export const PHRASE_TITLES: Record<PhraseKind, string> = {
  condition: 'Conditions',
  target: 'Defenders',
  qualifier: 'Narrowing a defender down',
  man: 'Our own men',
  gap: 'Gaps',
  region: 'Regions',
  block: 'Blocks',
  event: 'What happens after the snap',
  reaction: 'What he does then',
  group: 'Whose rules these are',
};

/** A template as a reader sees it: slots by name, optional ones in brackets. */
export const showTemplate = (text: string): string =>
  text
    .replace(/\[?\{(\w+):(\w+)[!=-]?\}\]?/g, (whole, name: string, kind: string) => {
      const what = kind in KIND_NAMES ? kind : kind === 'dir' || kind === 'wing' ? 'side' : name;
      return whole.startsWith('[') ? `[*${what}*]` : `*${what}*`;
    })
    .replace(/\bbe\b/g, 'is');

function section(kind: PhraseKind): string[] {
  const rows = Object.values<Saying>(WORDS[kind]).map((w) => {
    const forms = [...w.says, ...(w.denies ?? [])].map(showTemplate).join('<br>');
    return `| ${forms}${w.subject ? `<br>(as subject: ${w.subject})` : ''} | ${w.help} |`;
  });
  return [`## ${PHRASE_TITLES[kind]}`, '', '| said | meaning |', '| --- | --- |', ...rows, ''];
}

/** The reference of the rule language as Markdown, made from the vocabulary itself. */
export function languageReference(): string {
  const words = (values: readonly string[]): string => values.map((v) => `\`${v}\``).join(', ');
  return [
    '# The rule language',
    '',
    'Made from the vocabulary by `npm run docs`; do not edit.',
    '',
    'A scheme is a text: a head, what it declares, then the rules of each man, a sentence a line. The first sentence that fits wins.',
    '',
    '```',
    'scheme sample "Sample"',
    'family gap',
    'entry playside A gap',
    'track gap',
    'tempo power',
    'cover shoulders',
    '',
    'playside tackle',
    '  when the playside guard is covered head-up or outside: double him with the playside guard, then climb to L2',
    '  when my inside gap is filled: down on him',
    '  otherwise: release inside to L2',
    '```',
    '',
    'Conditions combine with `and`, `or`, `not` and brackets. A condition that finds a defender names him: `him` is the man of the last "there is", without one the first man named. After a block, `, then` says where he goes next, `, else` what he does when its linebacker is not to be had, and `; if ...: ...` what he does when the picture moves. `#` starts a comment.',
    '',
    '## The head',
    '',
    '| line | values |',
    '| --- | --- |',
    '| `family` | any words |',
    '| `school` | any words (may be left out) |',
    `| \`entry\` | ${words(ENTRIES)} |`,
    `| \`track\` | ${words(TRACKS)} |`,
    `| \`tempo\` | ${words(TEMPOS)} |`,
    `| \`throw\` | in a protection, instead of entry and tempo: ${words(THROWS)} |`,
    `| \`cover\` | what "covered" means: ${words(COVER_NAMES)} |`,
    `| \`bump\` | ${words(BUMPS)}: with the second, nobody helps or climbs past a man on the line whom no rule reaches, and two men never take one man unasked |`,
    `| \`step\` | the first step of everybody who blocks straight ahead, whatever the shade: ${words(SCHEME_STEPS)} (may be left out) |`,
    '| `from` | the formation it is usually called from, by its id (may be left out) |',
    '| `note` | any words |',
    '',
    '## What a scheme declares',
    '',
    '| line | meaning |',
    '| --- | --- |',
    '| `tag NAME [on] "what it does"` | a tag of the call; `on`: unless told otherwise |',
    '| `seat NAME = man or man` | a job for the first of these in the formation |',
    '| `look NAME: condition` | a picture with a name |',
    '| `change to PLAY when condition` | the picture in which the other play of the pair is run |',
    '| `deal NAME to MEN [in order] [when condition]: DEFENDERS` | shares the defenders named, as many as there are men, among the men: whoever stands on a man stays his, the rest go to the nearest man left, nobody across a man who has his own; `in order`: strictly from left to right. Of several lines with one name the first that fits counts |',
    '| `box one more when condition` | the next defender outside on the play side counts into the box |',
    '',
    ...PHRASE_KINDS.flatMap(section),
    '## Plain words',
    '',
    '| slot | words |',
    '| --- | --- |',
    ...Object.entries(LEAVES).map(
      ([name, leaf]) => `| ${name} | ${leaf.values ? Object.values(leaf.values).join(', ') : leaf.name} |`,
    ),
    '',
  ].join('\n');
}
