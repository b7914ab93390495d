import { describe, expect, it } from 'vitest';
import { SHIPPED_SETTINGS } from '../core/model/settings';
import {
  loadFormation,
  loadFront,
  loadScheme,
  loadSettings,
  loadNeed,
  loadSide,
  loadSpaceText,
  Usage,
  WrongMaterial,
} from './material';

const formation = loadFormation('five-man');
const said = (what: () => unknown): string => {
  try {
    what();
  } catch (failure) {
    if (failure instanceof WrongMaterial || failure instanceof Usage) return failure.message;
    throw failure;
  }
  return 'taken';
};

describe('the down on the command line', () => {
  it('is read as it is said, and refused in words', () => {
    expect(loadNeed('3rd and 2')).toEqual({ down: 3, distance: 2 });
    expect(said(() => loadNeed('late'))).toBe('--on takes a down and what is needed, as "3rd and 2"; found "late"');
  });
});

describe('names on the command line', () => {
  it.each([
    ['a play', () => loadScheme('powr'), 'there is no play "powr", and no file of that name; did you mean "power"?'],
    [
      'a front',
      () => loadFront('ovr', formation, SHIPPED_SETTINGS),
      'there is no front "ovr", and no file of that name; did you mean "over"?',
    ],
    [
      'a formation',
      () => loadFormation('h-bak'),
      'there is no formation "h-bak", and no file of that name; did you mean "h-back"?',
    ],
    [
      'a space',
      () => loadSpaceText('evrything', formation, SHIPPED_SETTINGS),
      'there is no space or front "evrything", and no file of that name; did you mean "everything"?',
    ],
    ['nothing near', () => loadScheme('bananas'), 'there is no play "bananas", and no file of that name'],
  ])('%s that is mistyped says what was probably meant', (_what, load, message) => expect(said(load)).toBe(message));

  it('what is there is taken: by name and in notation', () => {
    expect(loadScheme('power').tree.id).toBe('power');
    expect(loadFront('T 3 right; N 1 left', formation, SHIPPED_SETTINGS).defenders).toHaveLength(2);
    expect(loadFormation('LT LG C RG RT Y right').men).toHaveLength(6);
    const tackle = (word: string) => loadFormation(word, { splitInches: 36 }).men.find((m) => m.id === 'RT')!.x;
    expect([tackle('five-man'), tackle('goal-line-pair'), tackle('LT LG C RG RT')]).toEqual([10, 4, 8]);
    expect(JSON.parse(loadSpaceText('over', formation, SHIPPED_SETTINGS))).toHaveProperty('id');
  });

  it('notation that is wrong says where', () => {
    expect(said(() => loadFront('T 3 rigt', formation, SHIPPED_SETTINGS))).toMatch(/^front:1:\d+ error /);
    expect(said(() => loadFormation('LT LG C RG'))).toMatch(/^formation:1:1 error .*not there: RT/);
  });

  it('a file that is not there says so, whatever it should have held', () => {
    expect(said(() => loadScheme('nowhere.chalk'))).toBe(
      'nowhere.chalk: there is no such file, and nothing ships under this name',
    );
  });
});

describe('schools and sides on the command line', () => {
  it('takes a school by its name and refuses what there is not', () => {
    expect(loadSettings(['hat=inside number', 'standardYards=3'])).toMatchObject({
      hat: 'inside number',
      standardYards: 3,
    });
    expect(said(() => loadSettings(['hat=sideways']))).toMatch(/^--set hat: /);
    expect(said(() => loadSettings(['hatt=outside']))).toMatch(/^there is no setting "hatt"; there are /);
    expect(said(() => loadSettings(['hat']))).toBe('--set takes NAME=VALUE; found "hat"');
    expect(said(() => loadSide('lft'))).toBe('a side is left or right; found "lft"');
  });
});
