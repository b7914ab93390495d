import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ALL_PLUS, GradeSchema } from '../model/grade';
import { withoutName, withoutNameIn } from './without-name';

describe('a text without a name', () => {
  it.each([
    ['Anselm Rook steps under himself', 'erased steps under himself'],
    ['waits for rook, ROOK waits', 'waits for erased, erased waits'],
    ['the rookie stays', 'the rookie stays'],
    ['Rook’s hands', 'erased’s hands'],
    ['nobody', 'nobody'],
  ])('%s', (text, without) => {
    expect(withoutName(text, 'Anselm Rook')).toBe(without);
  });

  it('knows names of any letters, and takes no sign of one for a rule', () => {
    expect(withoutName('Öskår and O.J. (Jr.) came', 'Öskår')).toBe('erased and O.J. (Jr.) came');
    expect(withoutName('a b+c d', 'b+c')).toBe('a erased d');
    fc.assert(
      fc.property(fc.string({ minLength: 1 }), fc.string(), (name, text) => {
        expect(withoutName(text, name).length).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('a body without a name', () => {
  it('keeps its marks, whatever a man is called', () => {
    const grade = { ...ALL_PLUS, assignment: 'wrong', technique: 'minus', note: 'Wrong was wrong' };
    for (const name of ['Otis Wrong', 'Minus Plus', 'Right Note', 'Assignment Technique']) {
      const read = GradeSchema.parse(withoutNameIn(grade, name));
      expect({ ...read, note: '' }).toEqual({ ...GradeSchema.parse(grade), note: '' });
    }
    expect(withoutNameIn(grade, 'Otis Wrong')).toMatchObject({ note: 'erased was erased' });
  });

  it('goes through everything in it', () => {
    const finding = {
      cause: { chain: [{ man: 'C', says: 'Rook is late' }], root: 'C' },
      free: [],
      count: 3,
      none: null,
    };
    expect(withoutNameIn(finding, 'Anselm Rook')).toEqual({
      ...finding,
      cause: { chain: [{ man: 'C', says: 'erased is late' }], root: 'C' },
    });
  });
});
