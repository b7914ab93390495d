import { SHELVES } from '../core/model/shelves';
import { Command, CommanderError } from 'commander';
import { writeFileSync } from 'node:fs';
import { judgedOn } from '../core/model/standard';
import { hasErrors } from '../core/diagnostics/diagnostic';
import { formatDiagnostic } from '../core/diagnostics/wording';
import { GoldenCaseSchema, runGoldenCase } from '../core/formats/golden/golden';
import { identify } from '../core/identify/identify';
import { checkText } from '../core/language/check';
import { printTree } from '../core/language/print';
import { readTree } from '../core/language/read';
import { sayFront } from '../core/language/lineups/print-lineup';
import { libraryIds, type Shelf } from '../core/library/library';
import { openJob, type StressJob } from '../core/calls/stress-job';
import type { CompiledScheme } from '../core/resolve/prepare/compile';
import { planFor } from '../core/stress/stress';
import { resolve } from '../core/movement/play';
import { arrivalsOf } from '../core/movement/run/arrivals';
import { runPlay } from '../core/movement/run/run';
import { mendProtection } from '../core/protect/mend-protection';
import { FEWEST_RUSHERS, MOST_RUSHERS } from '../core/protect/pressures';
import { provePressures } from '../core/protect/prove';
import { prepareCall } from '../core/resolve/prepare/prepare-call';
import { resolveStill } from '../core/resolve/resolve';
import { BLOCKS, CONDITIONS, TARGETS } from '../core/vocabulary/index';
import {
  formationText,
  loadFormation,
  loadFront,
  loadScheme,
  loadSettings,
  loadNeed,
  loadSide,
  loadSpaceText,
  need,
  readFile,
  schemeText,
  Usage,
  WrongMaterial,
} from './material';
import { isStressThread, runStressThread, showTally, stressOnThreads } from './stress';
import { showIdentification, showProof, showResolution } from './show';

const DEFAULT_FORMATION = 'five-man';
const many = (value: string, all: string[] = []): string[] => [...all, value];
const print = (text: string): void => void process.stdout.write(`${text}\n`);

interface Options {
  front: string;
  formation?: string;
  scheme?: string;
  side?: string;
  set?: string[];
  tag?: string[];
  without?: string[];
  move?: string[];
  json?: boolean;
  write?: boolean;
  space?: string;
  limit?: string;
  seed?: string;
}

function checkTags(scheme: CompiledScheme, o: Pick<Options, 'tag' | 'without'>): void {
  const known = scheme.tags.map((t) => t.name);
  for (const tag of [...(o.tag ?? []), ...(o.without ?? [])]) {
    if (!known.includes(tag))
      throw new Usage(`${scheme.tree.id} has no tag "${tag}"; it has ${known.join(', ') || 'none'}`);
  }
}

function wholeNumber(text: string, option: string): number {
  if (!/^\d{1,9}$/.test(text) || Number(text) < 1)
    throw new Usage(`${option} takes a whole number from 1; found "${text}"`);
  return Number(text);
}

function howMany(text: string): { fewest: number; most: number } {
  const n = wholeNumber(text, '--rushers');
  if (n < FEWEST_RUSHERS || n > MOST_RUSHERS)
    throw new Usage(`--rushers takes ${FEWEST_RUSHERS} to ${MOST_RUSHERS}; found "${text}"`);
  return { fewest: n, most: n };
}

const program = new Command('chalk')
  .description('Blocking rules against fronts, from the command line')
  .exitOverride()
  .configureOutput({ writeErr: (t) => process.stderr.write(t) });

program
  .command('identify')
  .description('all the line must be told before the snap')
  .requiredOption('--front <front>')
  .option('--formation <formation>')
  .option('--side <side>')
  .option('--scheme <scheme>')
  .option('--set <name=value>', 'a school or limit', many)
  .option('--json')
  .action((o: Options) => {
    const settings = loadSettings(o.set ?? []);
    const formation = loadFormation(o.formation ?? DEFAULT_FORMATION, settings);
    const front = loadFront(o.front, formation, settings);
    const side = o.side === undefined ? null : loadSide(o.side);
    const found =
      o.scheme === undefined
        ? identify(formation, front, { side, settings })
        : resolveStill(loadScheme(o.scheme), formation, front, { side: side ?? 'right', settings }).identification;
    print(o.json ? JSON.stringify(found, null, 1) : showIdentification(found));
  });

program
  .command('resolve')
  .description('every man’s assignment against a front')
  .requiredOption('--scheme <scheme>')
  .requiredOption('--side <side>')
  .requiredOption('--front <front>')
  .option('--formation <formation>')
  .option('--tag <tag>', 'a tag of the scheme', many)
  .option('--without <tag>', 'a tag that is usually on', many)
  .option('--move <move>', 'a movement after the snap', many)
  .option('--on <down>', 'the down a good run is judged by, as "3rd and 2"')
  .option('--set <name=value>', 'a school or limit', many)
  .option('--json')
  .action((o: Options & { on?: string }) => {
    const scheme = loadScheme(o.scheme!);
    checkTags(scheme, o);
    const settings = judgedOn(loadSettings(o.set ?? []), o.on === undefined ? null : loadNeed(o.on));
    const formation = loadFormation(o.formation ?? DEFAULT_FORMATION, settings);
    const front = loadFront(o.front, formation, settings, o.move);
    const found = resolve(scheme, formation, front, {
      side: loadSide(o.side!),
      tags: o.tag,
      without: o.without,
      settings,
    });
    const { levelOfPlay: level, movers, gunDepth, pistolDepth } = settings;
    const played = runPlay(formation, front, found, { level, movers, depths: { gunDepth, pistolDepth } });
    const arrivals = arrivalsOf(played, found.assignments);
    print(o.json ? JSON.stringify({ ...found, arrivals }, null, 1) : showResolution(found, arrivals));
  });

program
  .command('protect')
  .description('a protection against every pressure of a front: who is free, where and how soon, and what mends it')
  .requiredOption('--scheme <scheme>')
  .requiredOption('--front <front>')
  .option('--formation <formation>', 'the one the scheme names, unless told otherwise')
  .option('--side <side>', 'right or left', 'right')
  .option('--rushers <n>', 'only pressures of so many, 4 to 7')
  .option('--tag <tag>', 'a tag of the scheme', many)
  .option('--without <tag>', 'a tag that is usually on', many)
  .option('--set <name=value>', 'a school or limit', many)
  .option('--json')
  .action((o: Options & { rushers?: string }) => {
    const scheme = loadScheme(o.scheme!);
    checkTags(scheme, o);
    if (!scheme.head.throw) throw new Usage(`${scheme.tree.id} is no protection: it has no line "throw"`);
    const settings = loadSettings(o.set ?? []);
    const formation = loadFormation(o.formation ?? scheme.head.from ?? DEFAULT_FORMATION, settings);
    const rushers = o.rushers === undefined ? {} : howMany(o.rushers);
    const prepared = prepareCall(scheme, formation, {
      side: loadSide(o.side!),
      tags: o.tag,
      without: o.without,
      settings,
    });
    const front = loadFront(o.front, formation, settings);
    const proof = provePressures(prepared, front, rushers);
    const mends = mendProtection(prepared, front, proof, rushers);
    print(o.json ? JSON.stringify({ ...proof, mends }, null, 1) : showProof(proof, mends));
  });

program
  .command('stress')
  .description('a scheme against every front of a space: how much is sound, and what breaks the rest')
  .requiredOption('--scheme <scheme>')
  .requiredOption('--side <side>')
  .requiredOption('--space <space>', `${libraryIds('spaces').join(', ')}, a front to look around, or a .json file`)
  .option('--formation <formation>')
  .option('--limit <n>', 'fronts at most; a larger space is sampled', '100000')
  .option('--seed <n>', 'of the samples', '1')
  .option('--tag <tag>', 'a tag of the scheme', many)
  .option('--without <tag>', 'a tag that is usually on', many)
  .option('--set <name=value>', 'a school or limit', many)
  .option('--json')
  .action(async (o: Options) => {
    const settings = loadSettings(o.set ?? []);
    const word = o.formation ?? DEFAULT_FORMATION;
    const formation = loadFormation(word, settings);
    const job: StressJob = {
      scheme: schemeText(o.scheme!),
      formation: formationText(word),
      space: loadSpaceText(o.space!, formation, settings),
      side: loadSide(o.side!),
      tags: o.tag ?? [],
      without: o.without ?? [],
      settings,
    };
    const { space, prepared } = need(openJob(job), o.scheme!);
    checkTags(prepared.scheme, o);
    const plan = planFor(space, wholeNumber(o.limit!, '--limit'), wholeNumber(o.seed!, '--seed'));
    const tally = await stressOnThreads(job, plan, (done) => {
      if (process.stderr.isTTY)
        process.stderr.write(`\r${done.toLocaleString('en')} of ${(plan.to - plan.from).toLocaleString('en')} fronts`);
    });
    if (process.stderr.isTTY) process.stderr.write('\r\x1b[K');
    const describe = (choice: readonly number[]): string => {
      const front = space.frontAt(choice);
      return front ? sayFront(front, formation) : '';
    };
    if (o.json)
      print(
        JSON.stringify(
          {
            scheme: prepared.scheme.tree.id,
            side: job.side,
            space: space.space.id,
            plan,
            ...tally,
            causes: tally.causes.map((c) => ({ ...c, front: describe(c.smallest.choice) })),
          },
          null,
          1,
        ),
      );
    else print(showTally(tally, describe));
  });

program
  .command('check')
  .description('what is wrong with .chalk texts')
  .argument('<file...>')
  .action((files: string[]) => {
    let failed = false;
    for (const file of files) {
      const diagnostics = checkText(readFile(file));
      for (const d of diagnostics) print(formatDiagnostic(file, d));
      failed ||= hasErrors(diagnostics);
    }
    if (failed) process.exitCode = 1;
  });

program
  .command('format')
  .description('.chalk texts in their canonical form')
  .argument('<file...>')
  .option('--write', 'write the files back')
  .action((files: string[], o: Options) => {
    for (const file of files) {
      const { tree, diagnostics } = readTree(readFile(file));
      if (!tree || hasErrors(diagnostics))
        throw new WrongMaterial(diagnostics.map((d) => formatDiagnostic(file, d)).join('\n'));
      if (o.write) writeFileSync(file, printTree(tree));
      else process.stdout.write(printTree(tree));
    }
  });

const LISTS: Record<string, () => Record<string, string>> = {
  ...Object.fromEntries(
    SHELVES.map((shelf: Shelf) => [shelf, () => Object.fromEntries(libraryIds(shelf).map((id) => [id, '']))]),
  ),
  blocks: () => Object.fromEntries(Object.entries(BLOCKS).map(([id, b]) => [id, b.help])),
  conditions: () => Object.fromEntries(Object.entries(CONDITIONS).map(([id, c]) => [id, c.says[0]!])),
  targets: () => Object.fromEntries(Object.entries(TARGETS).map(([id, t]) => [id, t.says[0]!])),
};

program
  .command('list')
  .description(`what there is: ${Object.keys(LISTS).join(', ')}`)
  .argument('<what>')
  .option('--json')
  .action((what: string, o: Options) => {
    const list = LISTS[what]?.();
    if (!list) throw new Usage(`there is no list of "${what}"; there are ${Object.keys(LISTS).join(', ')}`);
    print(
      o.json
        ? JSON.stringify(Object.keys(list))
        : Object.entries(list)
            .map(([id, text]) => (text ? `${id.padEnd(26)}${text}` : id))
            .join('\n'),
    );
  });

program
  .command('golden')
  .description('runs a table of worked cases')
  .argument('<file>')
  .action((file: string) => {
    let rows: unknown;
    try {
      rows = JSON.parse(readFile(file));
    } catch (problem) {
      if (problem instanceof WrongMaterial) throw problem;
      throw new WrongMaterial(`${file}: this is not JSON: ${(problem as Error).message}`);
    }
    const cases = GoldenCaseSchema.array().safeParse(rows);
    if (!cases.success)
      throw new WrongMaterial(cases.error.issues.map((i) => `${file}: ${i.path.join('.')}: ${i.message}`).join('\n'));
    const counts = { passed: 0, failed: 0, skipped: 0 };
    for (const c of cases.data) {
      const differ = runGoldenCase(c);
      counts[differ === null ? 'skipped' : differ.length ? 'failed' : 'passed']++;
      if (differ?.length) print(`${c.id}: ${differ.join('; ')}`);
    }
    print(`${counts.passed} passed, ${counts.failed} failed, ${counts.skipped} skipped`);
    if (counts.failed) process.exitCode = 1;
  });

/** Misuse ends with 2, wrong material with 1, both with a sentence. */
function endWith(problem: unknown): void {
  if (problem instanceof CommanderError) process.exitCode = problem.exitCode === 0 ? 0 : 2;
  else if (problem instanceof WrongMaterial || problem instanceof Usage) {
    process.stderr.write(`${problem.message}\n`);
    process.exitCode = problem instanceof Usage ? 2 : 1;
  } else throw problem;
}

if (isStressThread()) runStressThread();
else program.parseAsync().catch(endWith);
