import { describe, expect, it } from 'vitest';
import { resolveCall } from '../../calls/resolve-call';
import { FIRST_SNAP } from '../../film/log/series';
import { ALL_PLUS, type Grade } from '../../model/grade';
import type { Situation } from '../../model/snap';
import type { SnapBody } from '../../model/snap-body';
import { rateOf } from '../../statistics/rate';
import { A_CALL } from '../../testing/a-call';
import { need } from '../../testing/need';
import { filterOfQuery } from './dimensions';
import { compareRates, differenceOf, isMeasured, rateIn, type BookLine } from './lines';
import { askedOf, FOE_OF, foeOf, helpOf, markedOf, unitOf } from './marked';
import { isSameStandard, sayStandard, type Standard } from '../../model/standard';
import { isSuccess, playResultOf, sayPlay, type BookPlay } from './play-result';

const resolution = need(resolveCall(A_CALL));
const situation: Situation = { ...FIRST_SNAP, quarter: 2, down: 3, distance: 2, toGoal: 15, gain: 12 };
const body: SnapBody = {
  call: A_CALL,
  situation,
  resolution,
  logged: { personnel: '', said: '', notCounted: '' },
};
const assignment = (blocker: string) => resolution.assignments.find((a) => a.blocker === blocker)!;
const asked = (blocker: string) => askedOf(assignment(blocker));
const LATE: Grade = {
  ...ALL_PLUS,
  technique: 'minus',
  faults: ['left-late'],
  phases: { start: 'done', drive: 'not', fit: 'cannot tell' },
  outcome: 'not',
  consequence: 'costly',
};

describe('a grade in the book', () => {
  it('names their man with whose he is, and finds his letters again', () => {
    for (const opponent of ['Quillport Terns', 'Sons of Fennick']) expect(foeOf(`RE${FOE_OF}${opponent}`)).toBe('RE');
  });

  it('is counted by what he was asked, where, when and against what', () => {
    expect(markedOf(body, 'RG', asked('RG'), LATE)).toMatchObject({
      ...{ blocker: 'RG', unit: 'guards', scheme: 'power', side: 'right', front: A_CALL.frontName },
      ...{ block: asked('RG').block, pair: 'RG and RT', help: 'helped' },
      ...{ quarter: 2, down: 3, distance: 'short', zone: 'their last 20', gained: 'ten and more' },
      ...{
        assignment: true,
        technique: false,
        bothKept: false,
        finish: null,
        outcome: false,
        earned: 0.5,
        possible: 1,
      },
      ...{ target: asked('RG').target, consequence: 'costly' },
      ...{ faults: ['left-late'], phasesDone: ['start'], phasesNot: ['drive'] },
    });
  });

  it('is in no count when the snap is in none, or he had no part in it', () => {
    const kneel = { ...body, logged: { ...body.logged, notCounted: 'kneel' } };
    expect(markedOf(kneel, 'RG', asked('RG'), LATE)).toBeNull();
    expect(markedOf(body, 'RG', asked('RG'), { ...LATE, counts: false })).toBeNull();
  });

  it('says with whom and how far he had to go', () => {
    expect([helpOf(asked('RG')), helpOf(asked('LG')), helpOf(asked('LT'))]).toEqual([
      'helped',
      'alone, on the move',
      'alone',
    ]);
    expect(['LT', 'C', 'Y', 'Z', 'F'].map(unitOf)).toEqual([
      'tackles',
      'centre',
      'tight ends and wings',
      'receivers',
      'backs',
    ]);
  });
});

const FOUR: Standard = { standardYards: 4, standardSecond: 0, standardThird: 0 };

describe('what a play came to', () => {
  it.each([
    [{ distance: 10, gain: 4 }, true],
    [{ distance: 10, gain: 3 }, false],
    [{ distance: 2, gain: 2 }, true],
    [{ distance: 2, gain: 1 }, false],
    [{ distance: 10, gain: 0, result: 'touchdown' }, true],
    [{ distance: 10, gain: 9, result: 'ball lost' }, false],
  ] as const)('%o: %s', (part, good) => expect(isSuccess({ ...situation, ...part }, FOUR)).toBe(good));

  it.each([
    // Half of what is needed on second down, all of it on third.
    [{ down: 1, distance: 10, gain: 4 }, true],
    [{ down: 2, distance: 10, gain: 4 }, false],
    [{ down: 2, distance: 10, gain: 5 }, true],
    [{ down: 2, distance: 6, gain: 3 }, true],
    [{ down: 3, distance: 6, gain: 5 }, false],
    [{ down: 4, distance: 6, gain: 6 }, true],
    [{ down: 3, distance: 2, gain: 1 }, false],
  ] as const)('by down, %o: %s', (part, good) =>
    expect(isSuccess({ ...situation, ...part }, { standardYards: 4, standardSecond: 0.5, standardThird: 1 })).toBe(
      good,
    ),
  );

  it('is said as it counts', () => {
    expect(sayStandard(FOUR)).toBe('A success gains 4 yards, or the line to gain when it is short.');
    expect(sayStandard({ standardYards: 4, standardSecond: 0.5, standardThird: 1 })).toBe(
      'A success gains 50 % of what is needed on second down, 100 % of what is needed on third and fourth, 4 yards otherwise, or the line to gain when it is short.',
    );
  });

  it('is another standard as soon as one of its three numbers is', () => {
    expect(isSameStandard(FOUR, { ...FOUR })).toBe(true);
    for (const part of [{ standardYards: 5 }, { standardSecond: 0.5 }, { standardThird: 1 }])
      expect(isSameStandard(FOUR, { ...FOUR, ...part })).toBe(false);
  });

  const graded = (exceptions: Record<string, Grade> = {}, men = ['LT', 'LG', 'C', 'RG', 'RT']) =>
    men.map((blocker) => ({ blocker, grade: exceptions[blocker] ?? ALL_PLUS }));

  it('knows whether the line blocked it once its five are graded, and not before', () => {
    const of = (grades: ReturnType<typeof graded>) => playResultOf(body, grades, FOUR).blocked;
    expect(of(graded())).toBe(true);
    expect(of(graded({ C: LATE }))).toBe(false);
    expect(of(graded({ C: { ...ALL_PLUS, assignment: 'cannot tell' } }))).toBe(true);
    expect(of(graded({}, ['LT', 'LG', 'C', 'RG']))).toBeNull();
    expect(of(graded({ C: { ...ALL_PLUS, counts: false } }))).toBeNull();
  });

  it('is stuffed, explosive or pressured by its own yards and facts', () => {
    const of = (part: Partial<Situation>, facts: Grade['facts'] = []) =>
      playResultOf({ ...body, situation: { ...situation, ...part } }, graded({ C: { ...ALL_PLUS, facts } }), FOUR);
    expect(of({ gain: 0 })).toMatchObject({ stuffed: true, explosive: false, throws: false, pressured: false });
    expect(of({ gain: 10 })).toMatchObject({ stuffed: false, explosive: true });
    expect(of({ gain: 3 }, ['hit']).pressured).toBe(true);
    expect(of({ gain: -6, result: 'sacked' }).pressured).toBe(true);
    expect([of({ beforeContact: -1 }).beforeContact, of({}).beforeContact]).toEqual([-1, null]);
    const thrown = { ...body, resolution: { ...resolution, passing: {} as never } };
    expect(
      playResultOf({ ...thrown, situation: { ...situation, gain: 12, beforeContact: 3 } }, [], FOUR),
    ).toMatchObject({
      throws: true,
      beforeContact: null,
      explosive: false,
    });
  });
});

describe('what speaks for a play', () => {
  const play: BookPlay = {
    ...{ snapId: 1, number: 4, gameId: 1, opponent: 'Quillport Terns', week: 5, scheme: 'duo', side: 'left' },
    ...{ front: 'Over', down: 2, distance: 7, gain: 1, result: 'went on', blocked: true, missed: [], cause: [] },
  };
  it.each<[Partial<BookPlay>, string]>([
    [{}, '2nd and 7, gained 1; all did their job'],
    [{ gain: 0, blocked: null }, '2nd and 7, gained 0'],
    [{ gain: -3, down: 1, distance: 10 }, '1st and 10, lost 3; all did their job'],
    [
      { gain: 12, result: 'touchdown', blocked: false, missed: ['C', 'RG'] },
      '2nd and 7, gained 12, touchdown; C, RG missed',
    ],
    [{ gain: 0, result: 'incomplete', blocked: null }, '2nd and 7, incomplete'],
    [{ blocked: false, missed: ['C'], cause: ['C: no help'] }, '2nd and 7, gained 1; C missed; C: no help'],
  ])('%j', (part, says) => {
    expect(sayPlay({ ...play, ...part })).toBe(says);
  });
});

describe('two rates', () => {
  it.each([
    [45, 50, 30, 50, 'better'],
    [30, 50, 45, 50, 'worse'],
    [40, 50, 38, 50, 'no telling'],
    [4, 4, 10, 50, 'no telling'],
    [10, 50, 4, 4, 'no telling'],
  ] as const)('%i of %i after %i of %i: %s', (a, n, b, m, says) =>
    expect(compareRates(rateOf(a, n, 0), rateOf(b, m, 0))).toBe(says),
  );

  it('differ by an interval as it was published for 56 of 70 and 48 of 80', () => {
    const { low, high } = differenceOf(rateOf(56, 70, 0), rateOf(48, 80, 0));
    expect([low, high]).toEqual([expect.closeTo(0.0524, 4), expect.closeTo(0.3339, 4)]);
  });

  it('are read off a line by their measure', () => {
    const counts = { technique: { good: 3, of: 4, unknown: 2 }, finish: { good: 0, of: 0, unknown: 6 } };
    const line = { counts } as unknown as BookLine;
    expect(rateIn(line, 'technique')).toMatchObject({ good: 3, of: 4, unknown: 2, share: 0.75 });
    expect([isMeasured([line], 'technique'), isMeasured([line], 'finish')]).toEqual([true, false]);
  });
});

describe('the words of an address', () => {
  it('are a filter; what is none of it is left out', () => {
    expect(filterOfQuery({ man: '7', front: ['Over', ''], by: 'man', nonsense: 'x', block: undefined })).toEqual({
      man: ['7'],
      front: ['Over'],
    });
  });
});
