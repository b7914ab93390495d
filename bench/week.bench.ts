import { renderSheets } from '../app/features/paper/render';
import { SHIPPED_PLAYBOOK } from '#core/calls/playbook';
import { workCall } from '#core/calls/resolve-call';
import { SHIPPED_CALL_WORDS } from '#core/model/call-words';
import { PracticeWaysSchema, type PracticeDay } from '#core/model/practice';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import type { WeekPlan } from '#core/model/week-plan';
import { assignmentSheet, installSheet, type WeekPaper } from '#core/paper/week-sheets';
import { demandOf } from '#core/plan/demand';
import { NOTHING_PRACTISED } from '#core/plan/reps-so-far';
import { standingsOf } from '#core/plan/standing';
import { callsOf, workPlan, type PlanCell } from '#core/plan/work-plan';
import { practising } from '#core/practice/men';
import { planWeek } from '#core/practice/plan-week';
import { makeScript } from '#core/practice/script/make-script';
import { itemsOf } from '#core/quiz/items';
import { movedFor } from '#core/quiz/moved';
import { expectedOf, judge } from '#core/quiz/question';
import { changedMen } from '#core/night/changed-men';

const FRONTS = ['over', 'under', 'odd', 'bear', 'tite', 'over-two-high'];
const book = SHIPPED_PLAYBOOK;
const schemes = book.list('schemes').slice(0, 20);
const plan: WeekPlan = {
  quiz: true,
  plays: schemes.map((s) => ({
    ...{ scheme: s.id, side: 'right' as const, tags: [], times: 3 },
    ...{ formation: book.clauses('formations', s.from ?? 'five-man'), formationName: s.from ?? 'five-man' },
  })),
  looks: FRONTS.map((f) => ({ front: book.clauses('fronts', f), frontName: f, weight: 3, seen: '' })),
};
const ways = { playbook: book, settings: SHIPPED_SETTINGS, words: SHIPPED_CALL_WORDS };
const timed = <T>(what: string, goal: string, run: () => T): T => {
  run();
  const start = performance.now();
  const made = run();
  console.log(`${what.padEnd(58)}${(performance.now() - start).toFixed(0)} ms (goal ${goal})`);
  return made;
};

const calls = callsOf(plan);
const job = { own: [], settings: SHIPPED_SETTINGS, words: SHIPPED_CALL_WORDS, calls: calls.map((c) => c.call) };
const cells = timed('a plan of 20 plays x 6 looks: who does what', 'none', () => {
  const found: PlanCell[] = [];
  for (const a of workPlan(job)) {
    if (a.kind === 'losses') break;
    if (a.kind === 'cell') found.push({ ...a, ...calls[a.call]!, losses: null });
  }
  return found;
});
{
  const start = performance.now();
  for (const _ of workPlan(job));
  console.log(
    `${'the same with every block lost in turn, in time'.padEnd(58)}${((performance.now() - start) / 1000).toFixed(1)} s (goal none; once, in a worker)`,
  );
}
const SEATS = ['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'H'];
const standings = standingsOf(demandOf(plan, cells), [], (seat) =>
  SEATS.includes(seat) ? SEATS.indexOf(seat) + 1 : null,
);
const men = Array.from({ length: 22 }, (_, i) =>
  practising({ id: i + 1, seat: SEATS[i] ?? '', seats: [SEATS[i % 7]!], weight: 240 + 4 * i }, 'here'),
);
const days: PracticeDay[] = ['2026-11-24', '2026-11-25', '2026-11-26'].map((day) => ({
  ...{ day, theme: 'foundations', minutes: 90, gear: 'full gear', begins: null, lines: [] },
}));
const week = {
  ...{
    men: () => men,
    standings,
    theirs: new Set(['twist', 'slant'] as const),
    drills: book.drills(),
    level: 'adult' as const,
  },
  ways: PracticeWaysSchema.parse({ contactADay: 20, contactAWeek: 40 }),
};
timed('three days of 90 minutes for 22 men planned', '2000 ms', () => planWeek({ ...week, days }));
timed('one of them planned anew with three men away', '1000 ms', () =>
  planWeek({ ...week, men: () => men.slice(3), days: days.slice(0, 1) }),
);
timed('a script of 24 reps from 20 plays x 6 looks', '3000 ms', () =>
  makeScript({
    id: 'x',
    kind: 'team',
    reps: 24,
    plan,
    standings,
    ways,
    sayPlay: String,
    practised: NOTHING_PRACTISED,
    order: [],
  }),
);
const [item] = itemsOf(plan, ['RG'], ways);
timed('a quiz answer judged, and what they do next', '100 ms', () => {
  const worked = workCall(item!.call, ways);
  const expected = worked.ok ? expectedOf(worked.value.resolution, 'RG')! : null;
  if (expected) judge(expected, { whom: 'N', with: [], then: null, foot: 'left' });
  return movedFor(item!.call, 'RG', 3, ways);
});
timed('another picture on the sideline: who does something else', 'ten seconds with the taps', () =>
  changedMen(calls[0]!.call, { front: plan.looks[3]!.front, frontName: 'x' }, ways),
);

const paper: WeekPaper = { plan, ways, sayPlay: (p) => p.scheme, title: 'Week', stamp: 'bench' };
const { default: pdfMake } = await import('pdfmake');
const of = (face: string): string => `Helvetica${face}`;
pdfMake.addFonts({
  Helvetica: { normal: of(''), bold: of('-Bold'), italics: of('-Oblique'), bolditalics: of('-BoldOblique') },
});
const start = performance.now();
const sheets = [
  ...plan.plays.slice(0, 2).map((_, i) => installSheet(paper, i)),
  ...SEATS.slice(0, 2).map((s) => assignmentSheet(paper, s)),
];
const made = performance.now();
const buffer = await pdfMake.createPdf(renderSheets(sheets, 'A4')).getBuffer();
const pages = buffer.toString('latin1').match(/\/Type \/Page\b/g)!.length;
console.log(
  `${`a PDF of ${pages} pages on the server`.padEnd(58)}${(made - start).toFixed(0)} ms of sheets, ${(performance.now() - made).toFixed(0)} ms of PDF (goal 2000 ms for 12)`,
);
