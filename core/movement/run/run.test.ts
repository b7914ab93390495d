import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { libraryIds } from '../../library/library';
import { shippedScheme } from '../../calls/resolve-call';
import { MOVERS } from '../../kinematics/speeds';
import { otherSide, SIDES } from '../../model/side';
import { aLineup, mirrorFormation, mirrorFront, mirrorSeat } from '../../testing/fronts';
import { resolve } from '../play';
import { BODY_ROOM, STEP } from './bodies';
import { runPlay, type Run, type RunOptions } from './run';
import { need } from '../../testing/need';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const playOf = (scheme: string, lineup: string, defence: string, options: RunOptions = {}): Run => {
  const formation = need(readFormation(lineup));
  const front = need(readFront(defence, formation));
  return runPlay(formation, front, resolve(need(shippedScheme(scheme)), formation, front, { side: 'right' }), options);
};
const place = (run: Run, frame: number, id: string): { x: number; y: number } => {
  const i = run.men.findIndex((m) => m.id === id);
  return { x: run.frames[frame]![2 * i]!, y: run.frames[frame]![2 * i + 1]! };
};
const aScheme = fc.constantFrom(...libraryIds('schemes'));
const ZONE = 'LT LG C RG RT; B left';

describe('the laws of a run', () => {
  it('the same call runs the same, and mirrored it runs mirrored', () => {
    fc.assert(
      fc.property(aLineup, aScheme, fc.constantFrom(...SIDES), ({ formation, front }, id, side) => {
        const scheme = need(shippedScheme(id));
        const run = runPlay(formation, front, resolve(scheme, formation, front, { side }));
        expect(runPlay(formation, front, resolve(scheme, formation, front, { side }))).toEqual(run);
        const [m, f] = [mirrorFormation(formation), mirrorFront(front)];
        const other = runPlay(m, f, resolve(scheme, m, f, { side: otherSide(side) }));
        expect(other.frames.length).toBe(run.frames.length);
        const last = run.frames.length - 1;
        for (const { id: man } of run.men) {
          const [a, b] = [place(run, last, man), place(other, last, mirrorSeat(man))];
          expect(Math.abs(a.x + b.x)).toBeLessThan(0.02);
          expect(Math.abs(a.y - b.y)).toBeLessThan(0.02);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('starts where everybody stands, and nobody runs faster than he can', () => {
    fc.assert(
      fc.property(aLineup, aScheme, ({ formation, front }, id) => {
        const run = runPlay(formation, front, resolve(need(shippedScheme(id)), formation, front, { side: 'right' }));
        for (const man of [...formation.men, ...front.defenders]) {
          const at = place(run, 0, man.id);
          expect(Math.hypot(at.x - man.x, at.y - man.y)).toBeLessThan(1e-4);
        }
        // Being moved off somebody may add a shoulder's width; nobody is anywhere else a step later.
        const most = MOVERS.secondary.topSpeed * STEP * Math.SQRT2 + BODY_ROOM;
        for (let f = 1; f < run.frames.length; f++) {
          for (let i = 0; i < run.men.length; i++) {
            const gone = Math.hypot(
              run.frames[f]![2 * i]! - run.frames[f - 1]![2 * i]!,
              run.frames[f]![2 * i + 1]! - run.frames[f - 1]![2 * i + 1]!,
            );
            expect(gone).toBeLessThan(most);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('nobody passes through a man he is in contact with', () => {
    fc.assert(
      fc.property(aLineup, aScheme, ({ formation, front }, id) => {
        const run = runPlay(formation, front, resolve(need(shippedScheme(id)), formation, front, { side: 'right' }));
        for (const e of run.events) {
          if (e.kind !== 'contact') continue;
          const f = Math.round(e.time / STEP);
          const [a, b] = [place(run, f, e.man), place(run, f, e.on)];
          expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(BODY_ROOM / 3);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('a man with nothing to do stands where he is', () => {
    const run = playOf('pro-five-back', 'LT LG C RG RT; B; QB pistol', 'LE 5 left; RE 5 right', {
      seconds: 2,
      rushers: [],
    });
    for (const id of ['C', 'LG', 'RG']) {
      const [a, b] = [place(run, 60, id), place(run, run.frames.length - 1, id)];
      expect(b).toEqual(a);
    }
  });
});

describe('a run', () => {
  it('tells contact, hand-over and the ball in the order in which they happen', () => {
    const { events } = playOf('inside-zone-z1', ZONE, OVER);
    const at = (match: object): number =>
      events.findIndex((e) => Object.entries(match).every(([k, v]) => e[k as keyof typeof e] === v));
    expect(at({ kind: 'contact', man: 'C', on: 'N' })).toBeGreaterThanOrEqual(0);
    expect(at({ kind: 'goes on', man: 'C', to: 'M' })).toBeGreaterThan(at({ kind: 'contact', man: 'C', on: 'N' }));
    expect(at({ kind: 'ball at the line' })).toBeGreaterThan(at({ kind: 'goes on', man: 'C' }));
    expect([...events].sort((a, b) => a.time - b.time)).toEqual(events);
    expect(events.find((e) => e.kind === 'ball at the line')!.time).toBeCloseTo(1.6, 1);
  });

  it('one man holds, two move their man, and only one of them goes on', () => {
    const run = playOf('inside-zone-z1', ZONE, OVER);
    const contact = run.events.find((e) => e.kind === 'contact' && e.man === 'LG')!;
    const before = place(run, Math.round(contact.time / STEP), 'N');
    const on = run.events.find((e) => e.kind === 'goes on')!;
    expect(place(run, Math.round(on.time / STEP), 'N').y).toBeGreaterThan(before.y);
    expect(run.events.filter((e) => e.kind === 'goes on')).toHaveLength(1);
  });

  it('a free man in the hole meets the ball, a blocked one does not', () => {
    const free = playOf('inside-zone-z1', ZONE, `${OVER}; S 20 right`);
    expect(free.events.some((e) => e.kind === 'meets the ball' && e.who === 'S')).toBe(true);
    expect(free.events.some((e) => e.kind === 'meets the ball' && e.who === 'T')).toBe(false);
  });

  it('the quarterback takes the snap where the program has him stand', () => {
    const at = (quarterback: string, depths?: RunOptions['depths']): number =>
      place(
        playOf('inside-zone-z1', `LT LG C RG RT; B left; QB ${quarterback}`, OVER, { seconds: 0.1, depths }),
        0,
        'QB',
      ).y;
    expect([at('gun'), at('pistol'), at('under')]).toEqual([-15, -12, -3]);
    const deep = { gunDepth: 6, pistolDepth: 3 };
    expect([at('gun', deep), at('pistol', deep), at('under', deep)]).toEqual([-18, -9, -3]);
  });

  it('who comes unblocked is at the quarterback before the throw, unless he is picked up', () => {
    const line = 'LT LG C RG RT; B; QB pistol';
    const slow = playOf('pro-five-back', line, `${OVER}; S (13, 2) up lb; X (-13, 2) up lb`, {
      rushers: ['LE', 'N', 'T', 'RE', 'S', 'X'],
    });
    expect(slow.events.some((e) => e.kind === 'at the quarterback' && (e.who === 'S' || e.who === 'X'))).toBe(true);
    const held = playOf('pro-five-back', line, OVER, { rushers: ['LE', 'N', 'T', 'RE'] });
    expect(held.events.filter((e) => e.kind === 'at the quarterback')).toEqual([]);
    expect(held.events.at(-1)!.kind).toBe('ball out');
  });

  it('a movement is run the way it goes', () => {
    const run = playOf('outside-zone', ZONE, `${OVER}; T slant left`);
    const last = Math.round(0.9 / STEP);
    // Two men ride him, so he does not get far; but he goes that way.
    expect(place(run, last, 'T').x).toBeLessThan(place(run, 0, 'T').x - 0.4);
  });

  it('a slower man comes later, and quirks change what they say', () => {
    const usual = playOf('power', 'LT LG C RG RT; H right; B left', OVER);
    const slow = playOf('power', 'LT LG C RG RT; H right; B left', OVER, {
      movers: { H: { delay: 0.5, acceleration: 9, topSpeed: 12 } },
    });
    const kick = (r: Run): number => r.events.find((e) => e.kind === 'contact' && e.man === 'H')!.time;
    expect(kick(slow)).toBeGreaterThan(kick(usual) + 0.1);
    const fell = playOf('power', 'LT LG C RG RT; H right; B left', OVER, {
      quirks: { H: 'falls', RG: 'leaves late', LG: 'misses' },
    });
    expect(Array.from(fell.engaged.at(-1)!)[fell.men.findIndex((m) => m.id === 'H')]).toBe(2);
    expect(fell.events.some((e) => e.kind === 'contact' && e.man === 'LG')).toBe(false);
  });

  it('a double holds its man for six tenths of a second; who errs comes off early or late', () => {
    const far = `${OVER.replace('M 10 right', 'M (2, 20)')}`;
    const held = (quirk?: 'leaves early' | 'leaves late'): number => {
      const run = playOf('inside-zone-z1', ZONE, far, { seconds: 4, quirks: quirk ? { C: quirk } : {} });
      const both = ['C', 'LG'].map(
        (man) => run.events.find((e) => e.kind === 'contact' && e.man === man && e.on === 'N')!.time,
      );
      const off = run.events.find((e) => e.kind === 'goes on' && e.man === 'C')!.time;
      return off - Math.min(both[0]!, off);
    };
    expect(held()).toBeGreaterThan(0.5);
    expect(held()).toBeLessThan(0.75);
    expect(held('leaves early')).toBeLessThan(0.3);
    expect(held('leaves late')).toBeGreaterThan(1.7);
  });
});

describe('a block that is lost', () => {
  const POWER = 'LT LG C RG RT; H right; B left';
  const met = (quirks: RunOptions['quirks']): { who: string; depth: number } | null => {
    const event = playOf('power', POWER, OVER, { quirks, untilMet: true }).events.find(
      (e) => e.kind === 'meets the ball',
    );
    return event?.kind === 'meets the ball' ? event : null;
  };

  it('lets his man through to the ball, on the side on which he is beaten', () => {
    const held = met({});
    const inside = met({ C: 'beaten inside' })!;
    expect(inside.who).toBe('N');
    expect(inside.depth).toBeLessThan(held?.depth ?? Infinity);
    const run = playOf('power', POWER, OVER, { quirks: { RG: 'beaten outside' } });
    const contact = run.events.find((e) => e.kind === 'contact' && e.man === 'RG')!;
    const after = Math.ceil((contact.time + 0.4) / STEP);
    expect(place(run, after, 'T').x).toBeGreaterThan(place(run, after, 'RG').x);
  });

  it('does nothing before he has met him, and nothing to a man whom somebody else still holds', () => {
    const [held, lost] = [
      playOf('power', POWER, OVER),
      playOf('power', POWER, OVER, { quirks: { LT: 'beaten inside' } }),
    ];
    const first = held.events.find((e) => e.kind === 'contact' && e.man === 'LT')!.time;
    for (let i = 0; i * STEP < first; i++) expect(lost.frames[i]).toEqual(held.frames[i]);
    const engaged = (run: Run, frame: number, id: string): boolean =>
      run.engaged[frame]![run.men.findIndex((m) => m.id === id)] === 1;
    const doubled = playOf('power', POWER, OVER, { quirks: { RT: 'beaten inside' } });
    const at = Math.ceil((doubled.events.find((e) => e.kind === 'contact' && e.man === 'RG')!.time + 0.1) / STEP);
    expect(engaged(doubled, at, 'T')).toBe(true);
  });

  it('driven back, is in the way of whoever pulls behind him', () => {
    const driven = playOf('power', POWER, OVER, { quirks: { C: 'driven back' }, seconds: 2 });
    const held = playOf('power', POWER, OVER, { seconds: 2 });
    const last = Math.floor(1.2 / STEP);
    expect(place(driven, last, 'C').y).toBeLessThan(place(held, last, 'C').y - 1);
    // The guard who leads comes later to where he was going.
    const way = (run: Run): number => place(run, last, 'LG').x;
    expect(way(driven)).toBeLessThan(way(held));
  });

  it('asked only what comes of it, runs no longer than until then and comes to the same', () => {
    const each: NonNullable<RunOptions['quirks']>[] = [{}, { H: 'beaten inside' }, { C: 'driven back' }];
    for (const quirks of each) {
      const [short, long] = [true, false].map((untilMet) => playOf('power', POWER, OVER, { quirks, untilMet }));
      expect(short!.frames).toEqual([]);
      const first = (run: Run) => run.events.find((e) => e.kind === 'meets the ball');
      expect(first(short!)).toEqual(first(long!));
      expect(short!.events.length).toBeLessThanOrEqual(long!.events.length);
    }
  });
});
