import type { Ways } from '../calls/resolve-call';
import { gistWords } from './gist-words';
import type { Rep, Script } from '../model/script';
import { SCRIPT_KINDS } from '../model/script';
import { scriptName } from '../practice/script/make-script';
import type { WeekPlan } from '../model/week-plan';
import { boardSvg } from './board-svg';
import type { Part, Sheet } from './sheet';
import { workOnce } from './work-once';

export interface ScriptWords {
  readonly sayPlay: (rep: Rep) => string;
  readonly stamp: string;
}

/** The coach's copy: every rep with what each man is asked, whom the scout team needs, and room for what came of it. */
export function coachScript(script: Script, ways: Ways, { sayPlay, stamp }: ScriptWords): Sheet {
  return {
    title: `${scriptName(script)}: coach`,
    subtitle: `${SCRIPT_KINDS[script.kind].says}. ${script.resets} places change between reps.`,
    stamp,
    parts: [
      {
        kind: 'table',
        head: ['', 'Call', 'They show', 'Bodies', 'Who does what', 'Good?'],
        widths: [16, 92, 84, 62, '*', 34],
        rows: script.reps.map((rep, i) => [
          String(i + 1),
          { strong: sayPlay(rep) },
          rep.frontName,
          rep.bodies.join(' '),
          answersOf(rep, ways),
          '',
        ]),
      },
      ...(script.uncovered.length
        ? [{ kind: 'text' as const, text: `Not in it: ${uncoveredWords(script)}.`, small: true as const }]
        : []),
    ],
  };
}

const TOLD = 10;
/** What a script leaves out, the likeliest first, as much of it as is read. */
export const uncoveredWords = ({ uncovered }: Pick<Script, 'uncovered'>, told = TOLD): string =>
  uncovered.slice(0, told).join('; ') + (uncovered.length > told ? `; ${uncovered.length - told} more` : '');

/** The players' copy: the play's name and nothing else; they say the technique and the call themselves. */
export const playersScript = (script: Script, { sayPlay, stamp }: ScriptWords): Sheet => ({
  title: scriptName(script),
  subtitle: 'Say whom you have, with whom, your first foot and the call.',
  stamp,
  parts: [
    {
      kind: 'table',
      head: ['', 'Call', 'Whom, with whom, then whom', 'Call at the line'],
      widths: [18, 140, '*', 110],
      rows: script.reps.map((rep, i) => [String(i + 1), { strong: sayPlay(rep) }, '', '']),
    },
  ],
});

/** A card for every rep as the scout team sees it from its own side: places, numbers, movement, whom it needs and where a cone will do. */
export function scoutCards(
  script: Script,
  ways: Ways,
  { stamp }: ScriptWords,
  { theirs = [] }: Pick<WeekPlan, 'theirs'> = {},
): Sheet {
  const numbers = new Map(theirs.flatMap(({ id, number }) => (number === null ? [] : [[id, number] as const])));
  const cards = script.reps.map((rep, i): Part[] => {
    const worked = workOnce({ ...rep, overrides: {} }, ways);
    if (!worked.ok) return [{ kind: 'heading', text: `${i + 1}: cannot be lined up any more` }];
    const { formation, front, resolution } = worked.value;
    const movement = {
      assignments: [],
      defenders: resolution.defenders.map((d) => ({ ...d, status: 'single' as const })),
    };
    return [
      { kind: 'heading', text: `${i + 1}  ${rep.frontName}` },
      {
        kind: 'picture',
        share: 1,
        svg: boardSvg({
          ...{ formation, front, fromTheirs: true, cones: rep.cones, numbers },
          resolution: { ...movement, movement: resolution.movement },
        }),
      },
    ];
  });
  const parts: Part[] = [];
  for (let i = 0; i < cards.length; i += 2) parts.push({ kind: 'columns', columns: [cards[i]!, cards[i + 1] ?? []] });
  return {
    title: `${scriptName(script)}: scout cards`,
    subtitle: 'Seen from behind the defence. A triangle is a cone or a bag: nobody needs to stand there.',
    stamp,
    parts,
  };
}

function answersOf(rep: Rep, ways: Ways): string {
  const worked = workOnce({ ...rep, overrides: {} }, ways);
  if (!worked.ok) return 'cannot be lined up any more';
  return worked.value.resolution.assignments.map(gistWords).join('; ');
}
