import { schoolsOf, TECHNIQUE_SCHOOLS, type TechniqueSchool } from '#core/model/technique-schools';
import type { Settings } from '#core/model/settings';

/** A setting that is one word or one number; the others have tables of their own. */
export type WayKey = Exclude<keyof Settings, 'aliases' | 'movers' | 'strengthSide'>;

/** A setting as a coach reads it. */
export interface Way {
  readonly key: WayKey;
  /** The beginning of a sentence that its value ends. */
  readonly says: string;
  readonly unit?: string;
  /** What it changes. */
  readonly changes: string;
  /** The values it can have, each with its name and what it says. */
  readonly options?: readonly { readonly value: string; readonly name: string; readonly says?: string }[];
  /** Only where another setting has one of these values. */
  readonly when?: { readonly key: WayKey; readonly is: readonly string[] };
}
export interface WayGroup {
  readonly id: string;
  readonly name: string;
  readonly ways: readonly Way[];
}

const PLAY: WayGroup = {
  id: 'play',
  name: 'What we play',
  ways: [
    {
      key: 'levelOfPlay',
      says: 'We are',
      changes: 'How fast men are taken to be, and which cautions stand beside drills and blocks.',
      options: [
        { value: 'youth', name: 'youth', says: 'the youngest; slower men, the strictest cautions' },
        { value: 'school', name: 'school', says: 'boys and girls at school' },
        { value: 'adult', name: 'adults', says: 'grown men and women' },
      ],
    },
    {
      key: 'splitInches',
      says: 'Between two men of the line there are',
      unit: 'inches',
      changes: 'Where every man of the line stands in formations that do not say their own split.',
    },
    {
      key: 'standardYards',
      says: 'A good run gains',
      unit: 'yards',
      changes: 'Which linebackers count as a risk, and which plays the Book calls a success.',
    },
    {
      key: 'standardSecond',
      says: 'On second down a good run gains, of what is needed, a share of',
      unit: '(0.5 is half; 0: the same yards)',
      changes: 'Which plays on second down the Book calls a success.',
    },
    {
      key: 'standardThird',
      says: 'On third and fourth down a share of',
      unit: '(1 is all; 0: the same yards)',
      changes: 'Which plays on third and fourth down the Book calls a success.',
    },
    {
      key: 'weighMisses',
      says: 'In the Book a miss counts',
      changes:
        'Whether the Book shows a second grade beside the first, in which fatal misses count more than harmless ones.',
      options: [
        { value: 'alike', name: 'as a miss', says: 'every miss alike, as the rubric has it' },
        { value: 'meant', name: 'by what it meant', says: 'a column more, weighed by harmless, costly, fatal' },
      ],
    },
  ],
};

const SEE: WayGroup = {
  id: 'see',
  name: 'How we see a front',
  ways: [
    {
      key: 'strength',
      says: 'Strength is',
      changes: 'Which side is called strong, and with it who the Mike is.',
      options: [
        { value: 'tight-end', name: 'where the tight end is', says: 'more men on the line on that side' },
        { value: 'field', name: 'the wide side of the field' },
        { value: 'called', name: 'called in the huddle' },
      ],
    },
    {
      key: 'mike',
      says: 'Of two or four linebackers the Mike is',
      changes: 'From whom the count to the others goes out.',
      options: [
        { value: 'strength', name: 'the one to the strength' },
        { value: 'nearest', name: 'the one nearest the ball' },
        { value: 'weak', name: 'the one away from the strength' },
      ],
    },
    {
      key: 'box',
      says: 'The box is measured from',
      changes: 'Who has to be blocked on a run, and how many they are.',
      options: [
        { value: 'tackle', name: 'the tackles' },
        { value: 'tight-end', name: 'the tight end where there is one' },
      ],
    },
    {
      key: 'walkedUpCounts',
      says: 'For loaded or light a walked-up man',
      changes: 'Which side a tackle calls loaded.',
      options: [
        { value: 'true', name: 'counts' },
        { value: 'false', name: 'does not count' },
      ],
    },
    {
      key: 'techniques',
      says: 'Places on the line are said',
      changes: 'The number over every defender.',
      options: [
        { value: 'standard', name: 'the usual way', says: '0 1 2i 2 3 4i 4 5 6i 6 9' },
        { value: 'shade-nose', name: 'with a shade for the nose' },
        { value: 'seven-inside', name: 'with a 7 inside the tight end' },
        { value: 'seven-gap', name: 'with a 7 in the gap' },
      ],
    },
  ],
};

const BLOCK: WayGroup = {
  id: 'block',
  name: 'How we block',
  ways: (Object.keys(TECHNIQUE_SCHOOLS) as TechniqueSchool[]).map((key) => {
    const { decides, schools } = TECHNIQUE_SCHOOLS[key];
    const said = schools as Readonly<Record<string, string>>;
    return {
      key,
      says: decides,
      changes: 'The technique every man reads beside his assignment, and what he is graded by.',
      options: schoolsOf(key).map((value) => ({ value, name: value, says: said[value]! })),
    };
  }),
};

const LEAGUE: WayGroup = {
  id: 'league',
  name: 'What our league asks of a defence',
  ways: [
    {
      key: 'leagueLeastOnLine',
      says: 'On the line stand at least',
      unit: 'men',
      changes: 'Which fronts rules are proved against; fronts of the book that break it say so. The rule book decides.',
    },
    {
      key: 'leagueMostOnLine',
      says: 'On the line stand at most',
      unit: 'men',
      changes: 'The same, the other way.',
    },
    {
      key: 'leagueDepth',
      says: 'Whoever is in the box and off the line stands at least',
      unit: 'yards off the ball',
      changes: 'Whether linebackers can walk up in what rules are proved against.',
    },
    {
      key: 'leagueCentre',
      says: 'Over the centre stands',
      changes: 'Which noses there are.',
      options: [
        { value: 'anybody', name: 'anybody, or nobody', says: 'no rule' },
        { value: 'head-up', name: 'a man head-up', says: 'always, nose on nose' },
        { value: 'nobody', name: 'nobody', says: 'he is left alone while he snaps' },
      ],
    },
    {
      key: 'leagueBlitz',
      says: 'Men off the line coming through a gap at the snap are',
      changes: 'Which movements rules are proved against.',
      options: [
        { value: 'allowed', name: 'allowed' },
        { value: 'forbidden', name: 'forbidden' },
      ],
    },
  ],
};

const LIMITS: WayGroup = {
  id: 'limits',
  name: 'When a block is at risk',
  ways: [
    {
      key: 'reachLimit',
      says: 'A man alone cannot get farther to the side than',
      unit: 'ft',
      changes: 'When a lone block on the first level is called a risk.',
    },
    {
      key: 'zoneReachLimit',
      says: 'On zone tracks, to the play side,',
      unit: 'ft',
      changes: 'The same for reaches to the play side.',
    },
    {
      key: 'pullMargin',
      says: 'A puller has lost the race when he is later by',
      unit: 's',
      changes: 'When a pull is called a risk.',
    },
    {
      key: 'vacatedDepth',
      says: 'A linebacker runs through a gap a puller left from a depth of',
      unit: 'yards or less',
      changes: 'When an open gap behind a puller is called a risk.',
    },
  ],
};

const DROPS = [
  { id: 'Quick', says: 'a quick throw' },
  { id: 'Three', says: 'three steps' },
  { id: 'Five', says: 'five steps' },
  { id: 'Seven', says: 'seven steps' },
  { id: 'Boot', says: 'a boot' },
] as const;

const THROW: WayGroup = {
  id: 'throw',
  name: 'When and where the ball is thrown',
  ways: [
    ...DROPS.flatMap(({ id, says }): Way[] => [
      {
        key: `throw${id}`,
        says: `On ${says} the ball is out after`,
        unit: 's',
        changes: 'How long a block has to hold.',
      },
      {
        key: `drop${id}`,
        says: `and is thrown from a depth of`,
        unit: 'yards',
        changes: 'How far a rusher has to go.',
      },
    ]),
    {
      key: 'gunDepth',
      says: 'In the gun the quarterback stands at',
      unit: 'yards',
      changes: 'Where he stands before the snap.',
    },
    { key: 'pistolDepth', says: 'In the pistol at', unit: 'yards', changes: 'Where he stands before the snap.' },
  ],
};

/** Every way a team can do it its own way, in the order in which a coach would settle them. */
export const WAYS: readonly WayGroup[] = [PLAY, SEE, LEAGUE, BLOCK, LIMITS, THROW];

/** What a setting's value is called. */
export const sayValue = (way: Way, value: unknown): string =>
  way.options?.find((o) => o.value === String(value))?.name ?? String(value);
