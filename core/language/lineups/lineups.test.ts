import { describe, expect, it } from 'vitest';
import { wordDiagnostic } from '../../diagnostics/wording';
import { need } from '../../testing/need';
import { sayDefender } from './print-lineup';
import { readFormation } from './read-formation';
import { readFront } from './read-front';

const order = (text: string): string =>
  need(readFormation(text))
    .men.filter((m) => m.kind === 'line')
    .map((m) => m.id)
    .join(' ');
const errors = (text: string): string[] => {
  const read = readFormation(text);
  return read.ok ? [] : read.diagnostics.map((d) => `${d.span.line}:${d.span.column} ${wordDiagnostic(d)}`);
};

describe('an unbalanced line', () => {
  it.each(['LT LG C RG RT over T left', 'LT LG C RG RT over LT right', 'LG C RG RT LT'])(
    '%s says the left tackle stands outside the right one',
    (text) => {
      expect(order(text)).toBe('LG C RG RT LT');
    },
  );

  it('that cannot be is an error in its place', () => {
    expect(errors('LT LG C RG RT over LT left')).toEqual([
      '1:20 LT stands on the left already, so he cannot move over to it',
    ]);
    expect(errors('LT LG C RG RT over X left')[0]).toMatch(/^1:20 expected T, G, LT, LG, RG or RT/);
  });
});

describe('men placed freely', () => {
  it('stand where they are said to, three backs among them', () => {
    const { men } = need(readFormation('LT LG C RG RT QB pistol F (2, -9) B B2 (-4, -15)'));
    const at = (id: string) => men.find((m) => m.id === id);
    expect(at('F')).toMatchObject({ x: 2, y: -9, kind: 'fullback' });
    expect(at('B2')).toMatchObject({ x: -4, y: -15, kind: 'back' });
    expect(at('B')).toMatchObject({ x: 0, kind: 'back' });
  });

  it('are what their place makes them when their letter does not say', () => {
    const kind = (place: string) => need(readFormation(`LT LG C RG RT Q ${place}`)).men.at(-1)!.kind;
    expect([kind('(3, -12)'), kind('(11, -3)'), kind('(40, -1)')]).toEqual(['back', 'wing', 'wide']);
  });

  it.each([
    ['LT LG C RG RT F (2, 9)', /^1:17 F stands at feet like \(2, -9\)/],
    ['LT LG C RG RT motion Z left', /^1:22 this formation has no Z for the motion/],
    ['LT LG C RG RT; split Q 3in', /this formation has no Q for the split/],
    ['LT LG C RG RT B; split B 3in', /B has no split/],
  ])('%s is told', (text, says) => {
    expect(errors(text)[0]).toMatch(says);
  });
});

describe('a man who stands on the line', () => {
  const line = need(readFormation('LT LG C RG RT Y right'));
  const position = (text: string) => need(readFront(text, line)).defenders[0]!.position;

  it('is a linebacker who has walked up inside the tackles, an end at or outside them', () => {
    expect(position('M A left up')).toBe('lb');
    expect(position('M 4i right up')).toBe('lb');
    expect(position('S 4 right up')).toBe('end');
    expect(position('S 9 right up')).toBe('end');
    expect(position('M A left up end')).toBe('end');
  });

  it.each(['M A left up', 'S 9 right up', 'M A left up end', 'S 9 right up lb', 'N 1 left', 'W 30 left'])(
    '%s reads back as it is said',
    (text) => {
      const [d] = need(readFront(text, line)).defenders;
      expect(need(readFront(sayDefender(d!, line), line)).defenders[0]).toEqual(d);
    },
  );
});
