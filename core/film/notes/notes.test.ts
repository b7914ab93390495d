import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DRAWN, DRAWN_KINDS, FilmNoteSchema, ShapeSchema, type Shape } from '../../model/film-note';
import { degreesBetween, strokesOf } from './shapes';
import { notesAsVtt, vttTime } from './web-vtt';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const place = fc.record({ x: share, y: share });
const shape: fc.Arbitrary<Shape> = fc
  .constantFrom(...DRAWN_KINDS)
  .chain((kind) => fc.array(place, { minLength: DRAWN[kind], maxLength: DRAWN[kind] }).map((at) => ({ kind, at })));
const SIZE = { width: 960, height: 540 };

describe('what is drawn on film', () => {
  it('begins and ends where it was placed, in pixels', () => {
    fc.assert(
      fc.property(shape, (s) => {
        const { lines, circles } = strokesOf(s, SIZE);
        const seen = [...lines.flat(), ...circles];
        for (const { x, y } of s.at)
          expect(seen.some((p) => Math.hypot(p.x - x * 960, p.y - y * 540) < 1e-6)).toBe(true);
        expect(ShapeSchema.safeParse(s).success).toBe(true);
      }),
    );
  });

  it('says the degrees of an angle from its corner, the same from both sides', () => {
    expect(degreesBetween({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 0, y: 1 })).toBeCloseTo(90);
    fc.assert(
      fc.property(place, place, place, (corner, one, two) => {
        const degrees = degreesBetween(corner, one, two);
        expect(degrees).toBeGreaterThanOrEqual(0);
        expect(degrees).toBeLessThanOrEqual(180);
        expect(degreesBetween(corner, two, one)).toBeCloseTo(degrees);
      }),
    );
    const at = [
      { x: 0.2, y: 0.5 },
      { x: 0.5, y: 0.5 },
      { x: 0.5, y: 0.1 },
    ];
    expect(strokesOf({ kind: 'angle', at }, SIZE).label!.text).toBe('90°');
  });

  it('shows a spot where only one place of a shape is there yet', () => {
    for (const kind of DRAWN_KINDS)
      expect(strokesOf({ kind, at: [{ x: 0.5, y: 0.5 }] }, SIZE)).toMatchObject({ lines: [], circles: [{ x: 480 }] });
    expect(strokesOf({ kind: 'arrow', at: [] }, SIZE)).toEqual({ lines: [], circles: [], label: null });
  });

  it.each([
    [{ kind: 'arrow', at: [{ x: 0, y: 0 }] }],
    [{ kind: 'spot', at: [{ x: 1.2, y: 0 }] }],
    [{ kind: 'star', at: [{ x: 0, y: 0 }] }],
  ])('is refused where it is no shape: %o', (wrong) => {
    expect(ShapeSchema.safeParse(wrong).success).toBe(false);
  });
});

describe('a note', () => {
  const note = { frame: 30, until: 59, text: 'Hips <past> the heel\n\nand on', shapes: [], players: false };
  it.each([
    [{ ...note, until: 29 }, 'ends before it begins'],
    [{ ...note, text: '  ' }, 'is empty'],
  ])('is refused: %o', (wrong, says) => {
    const read = FilmNoteSchema.safeParse(wrong);
    expect(!read.success && read.error.issues[0]!.message).toBe(says);
  });

  it('is a cue from its first frame to the end of its last, with what was drawn beside it', () => {
    const drawn: Shape[] = [{ kind: 'spot', at: [{ x: 0.5, y: 0.25 }] }];
    const later = { frame: 90, until: 90, text: '', shapes: drawn, players: false };
    expect(notesAsVtt([later, note], { framesPerSecond: 30 }, 'snap 3 --> end\nzone')).toBe(
      [
        'WEBVTT snap 3  end zone',
        '',
        '00:00:01.000 --> 00:00:02.000',
        'Hips &lt;past&gt; the heel',
        'and on',
        '',
        'NOTE drawn [{"kind":"spot","at":[{"x":0.5,"y":0.25}]}]',
        '',
        '00:00:03.000 --> 00:00:03.033',
        '(drawn)',
        '',
      ].join('\n'),
    );
  });

  it('has times that grow with its frames', () => {
    expect(vttTime(3661.5)).toBe('01:01:01.500');
    expect(vttTime(59.9996)).toBe('00:01:00.000');
    const frames = fc.nat(500_000);
    fc.assert(
      fc.property(frames, frames, (a, b) => {
        fc.pre(a < b);
        expect(vttTime(a / 30) < vttTime(b / 30)).toBe(true);
      }),
    );
  });
});
