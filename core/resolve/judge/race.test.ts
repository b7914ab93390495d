import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aheadAt, holdFor, meetsBall, type Carry } from '../../kinematics/races';
import { MOVERS, runFitOf } from '../../kinematics/speeds';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { shippedScheme } from '../../calls/resolve-call';
import { SettingsSchema } from '../../model/settings';
import type { Resolution } from '../../model/resolution';
import { need } from '../../testing/need';
import { resolveStill } from '../resolve';

const CARRY: Carry = { attack: 3, ballAtLine: 1.6 };
const aPlace = fc.record({
  x: fc.double({ min: -25, max: 25, noNaN: true }),
  y: fc.double({ min: 1, max: 45, noNaN: true }),
});
const STANDARD = 12;

describe('a free man against the ball', () => {
  it('meets it where he is there as soon as it is, and not before', () => {
    fc.assert(
      fc.property(aPlace, (place) => {
        const met = meetsBall(place, MOVERS.linebacker, CARRY, STANDARD);
        if (met === null) expect(aheadAt(place, MOVERS.linebacker, CARRY, STANDARD)).toBeLessThan(0);
        else {
          expect(aheadAt(place, MOVERS.linebacker, CARRY, met)).toBeGreaterThanOrEqual(0);
          if (met > 0.5) expect(aheadAt(place, MOVERS.linebacker, CARRY, met - 0.5)).toBeLessThan(0.1);
        }
      }),
    );
  });

  it('must be held exactly when he would meet it, and held so long he does not', () => {
    fc.assert(
      fc.property(aPlace, (place) => {
        const hold = holdFor(place, MOVERS.linebacker, CARRY, STANDARD);
        const held = { ...MOVERS.linebacker, delay: MOVERS.linebacker.delay + hold + 1e-6 };
        expect(hold > 0).toBe(meetsBall(place, MOVERS.linebacker, CARRY, STANDARD) !== null && hold !== 0);
        expect(meetsBall(place, held, CARRY, STANDARD)).toBeNull();
      }),
    );
  });

  it('reads the longer the deeper he stands, without a jump', () => {
    const delay = (y: number): number => runFitOf({ level: 2, y }).delay;
    expect(delay(9)).toBe(MOVERS.linebacker.delay);
    for (let y = 10; y < 45; y += 0.5) {
      expect(delay(y + 0.5)).toBeGreaterThanOrEqual(delay(y));
      expect(delay(y + 0.5) - delay(y)).toBeLessThan(0.03);
    }
    expect(delay(60)).toBe(delay(36));
  });
});

const men = need(readFormation('LT LG C RG RT; B'));
const run = (text: string, id = 'inside-zone-z1', standardYards = 4, formation = men): Resolution =>
  resolveStill(need(shippedScheme(id)), formation, need(readFront(text, formation)), {
    side: 'right',
    settings: SettingsSchema.parse({ standardYards }),
  });
const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right';

describe('what a run gains', () => {
  it('ends with the first man whom nobody has, the deep ones among them', () => {
    expect(run(`${ODD}; FS (0, 36)`).expected).toMatchObject({ metBy: 'FS', standard: 4 });
    expect(run(`${ODD}; FS (0, 36); J (-14, 10)`).expected!.metBy).toBe('J');
    expect(run(ODD).expected).toEqual({ yards: 20, metBy: null, standard: 4 });
  });

  it('is measured against the standard of the coach: what is a good run to one is none to another', () => {
    const front = `${ODD}; FS (0, 30)`;
    const { yards } = run(front).expected!;
    expect(run(front, 'inside-zone-z1', yards - 0.5).verdict).toBe('sound');
    const short = run(front, 'inside-zone-z1', yards + 0.5);
    expect(short.verdict).toBe('at risk');
    expect(short.problems[0]).toMatchObject({ code: 'free-linebacker', who: ['FS'] });
  });

  it('does not jump when a free man moves a little over the edge of the box', () => {
    const six = `${ODD}; K 00`;
    let seen = 0;
    for (let x = -16; x < -6; x += 0.3) {
      const [here, there] = [x, x + 0.3].map((at) => run(`${six}; J (${at.toFixed(2)}, 10)`, 'power'));
      if (here!.expected!.metBy !== 'J' || there!.expected!.metBy !== 'J') continue;
      seen++;
      expect(Math.abs(here!.expected!.yards - there!.expected!.yards)).toBeLessThan(0.5);
      expect(there!.verdict).toBe(here!.verdict);
    }
    expect(seen).toBeGreaterThan(5);
  });

  it('does not count a man who plays a receiver', () => {
    const wide = need(readFormation('LT LG C RG RT; Z wide right; H slot left; B'));
    const front = `${ODD}; CB (${wide.men.find((m) => m.id === 'H')!.x}, 9)`;
    expect(run(front).verdict).toBe('at risk');
    expect(run(front, 'inside-zone-z1', 4, wide).verdict).toBe('sound');
  });

  it('prints the arrival of a man on the edge who is too late, and finds one who is not', () => {
    const tight = need(readFormation('LT LG C RG RT; B left'));
    const edge = (x: number): Resolution =>
      run(`LE 5 left; N 0; RE 5 right; W 20 left; M 20 right; E (${x}, 1)`, 'power', 2, tight);
    expect(edge(-24).notes).toContain('E is free on the line and too late: after 2.4 s where the ball is after 2.2 s.');
    expect(edge(-14).problems.map((p) => [p.code, p.who.join()])).toContainEqual(['free-on-line', 'E']);
  });

  it('says who is one hat too many, and where he goes', () => {
    const few = run(
      'RE 5 right; LE 5 left; M 00; FS (0, 36)',
      'power',
      4,
      need(readFormation('LT LG C RG RT H right; B left')),
    );
    expect(few.notes.filter((n) => n.includes('one hat too many'))).not.toEqual([]);
    expect(few.notes.join(' ')).toMatch(/[A-Z]+ is one hat too many: he goes on to FS\./);
  });
});
