import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { libraryIds } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import { SettingsSchema } from '../model/settings';
import { PressureProofSchema } from '../model/pressure';
import { otherSide, SIDES } from '../model/side';
import { decide } from '../resolve/resolve';
import { prepareCall, type Call, type Prepared } from '../resolve/prepare/prepare-call';
import { aFront, formationOf, mirrorFormation, mirrorFront, mirrorSeat } from '../testing/fronts';
import { mendProtection } from './mend-protection';
import { pressuresOf } from './pressures';
import { provePressures, tryPressure } from './prove';
import { need } from '../testing/need';

const formation = need(readFormation('LT LG C RG RT B; QB pistol'));
const protections = libraryIds('schemes').filter((id) => need(shippedScheme(id)).head.throw !== null);
const prepare = (id: string, call: Partial<Call> = {}, line = formation): Prepared =>
  prepareCall(need(shippedScheme(id)), line, { side: 'right', ...call });
const aProtection = fc.constantFrom(...protections);
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left @4.5; M 10 right @4.5; S (13, 9) lb';
const front = (text: string) => need(readFront(text, formation));

describe('pressures', () => {
  it('are every set of four to seven, and each twist of two neighbours of the line both ways', () => {
    const { scene } = decide(prepare('pro-five-back'), front(OVER)).settled;
    const all = [...pressuresOf(scene)];
    const plain = all.filter((p) => !p.twist);
    const able = scene.threats.length;
    const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k);
    expect(plain).toHaveLength([4, 5, 6, 7].reduce((sum, k) => sum + choose(able, k), 0));
    expect(new Set(all.map((p) => `${p.rushers.join()}|${p.twist?.join() ?? ''}`)).size).toBe(all.length);
    for (const { rushers, twist } of all)
      if (twist) for (const d of twist) expect(rushers.includes(d) && scene.defenders[d]!.level === 1).toBe(true);
  });

  it('are all there is when a front cannot send four', () => {
    const { scene } = decide(prepare('pro-man'), front('LE 5 left; N 0; RE 5 right')).settled;
    expect([...pressuresOf(scene)].filter((p) => !p.twist).map((p) => p.rushers.length)).toEqual([3]);
  });
});

describe('the laws of a proof', () => {
  it('mirrors, adds up, is the same every time and fits its schema', () => {
    fc.assert(
      fc.property(aFront(formation), aProtection, fc.constantFrom(...SIDES), (random, id, side) => {
        const proof = provePressures(prepare(id, { side }), random);
        expect(provePressures(prepare(id, { side }), random)).toEqual(proof);
        expect(PressureProofSchema.parse(proof)).toEqual(proof);
        const { all, held, late, short } = proof.counts;
        expect(held + late + short).toBe(all);
        expect(proof.byNumber.reduce((sum, n) => sum + n.counts.all, 0)).toBe(all);
        expect(proof.ways.length > 0).toBe(short > 0);
        const mirrored = provePressures(
          prepare(id, { side: otherSide(side) }, mirrorFormation(formation)),
          mirrorFront(random),
        );
        expect(mirrored.counts).toEqual(proof.counts);
        expect(mirrored.ways.map((w) => [w.id, w.count, w.soonest]).sort()).toEqual(
          proof.ways.map((w) => [w.id, w.count, w.soonest]).sort(),
        );
        expect(mirrored.alone.map((a) => `${a.blocker} ${a.on}`).sort()).toEqual(
          proof.alone.map((a) => `${mirrorSeat(a.blocker)} ${a.on}`).sort(),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('more time for the throw never makes a protection short less often', () => {
    fc.assert(
      fc.property(aFront(formation), aProtection, (random, id) => {
        const at = (seconds: number): number =>
          provePressures(
            prepare(id, {
              settings: SettingsSchema.parse({
                throwQuick: seconds,
                throwThree: seconds,
                throwFive: seconds,
                throwSeven: seconds,
                throwBoot: seconds,
              }),
            }),
            random,
            { most: 5 },
          ).counts.short;
        const times = [1.6, 2.4, 3.4].map(at);
        expect([...times].sort((a, b) => a - b)).toEqual(times);
      }),
      { numRuns: 30 },
    );
  });

  it('every rusher is picked up by somebody or free, and nobody has two', () => {
    fc.assert(
      fc.property(aFront(formation), aProtection, fc.nat(), (random, id, pick) => {
        const prepared = prepare(id);
        const { scene } = decide(prepared, random).settled;
        const all = [...pressuresOf(scene)];
        const { rushers, twist } = all[pick % all.length]!;
        const name = (d: number): string => scene.defenders[d]!.id;
        const report = tryPressure(prepared, random, rushers.map(name), twist && [name(twist[0]), name(twist[1])])!;
        expect([...report.pickedUp.map((p) => p.rusher), ...report.free.map((f) => f.id)].sort()).toEqual(
          rushers.map(name).sort(),
        );
        const men = report.pickedUp.flatMap((p) => p.by);
        expect(new Set(men).size).toBe(men.length);
        expect(report.result === 'held').toBe(
          report.late.length === 0 && report.free.every((f) => f.arrives > prepared.aim.pocket!.time),
        );
      }),
      { numRuns: 100 },
    );
  });
});

/** Worked by hand: who has whom when these come. */
describe('five and the back against over, back to the right', () => {
  const run = (rushers: string, twist: [string, string] | null = null, id = 'pro-five-back') =>
    tryPressure(prepare(id), front(OVER), rushers.split(' '), twist)!;
  const who = (r: ReturnType<typeof run>): string =>
    r.pickedUp
      .map((p) => `${p.rusher}:${p.by.join('+')}`)
      .sort()
      .join(' ');

  it.each([
    // With the S on the back's side the count goes away from him: W is the line's, M and S are the back's, inside out.
    ['LE N T RE', 'LE:LT N:C RE:RT T:RG', ''],
    ['LE N T RE M', 'LE:LT M:B N:C RE:RT T:RG', ''],
    ['LE N T RE W', 'LE:LT N:C RE:RT T:RG W:LG', ''],
    ['LE N T RE M W', 'LE:LT M:B N:C RE:RT T:RG W:LG', ''],
    ['LE N T RE M W S', 'LE:LT M:B N:C RE:RT T:RG W:LG', 'S'],
    ['LE N RE W S', 'LE:LT N:C RE:RT S:B W:LG', ''],
  ] as const)('%s', (rushers, expected, free) => {
    const r = run(rushers);
    expect([who(r), r.free.map((f) => f.id).join(' ')]).toEqual([expected, free]);
  });

  it('passes a twist of the end and the tackle off', () => {
    const r = run('LE N T RE', ['T', 'RE']);
    expect(r).toMatchObject({ passedOff: ['RG', 'RT'], result: 'held' });
    expect(who(r)).toBe('LE:LT N:C RE:RG T:RT');
  });

  it('says where the free man comes and when', () => {
    const [s] = run('LE N T RE M W S').free;
    expect(s).toMatchObject({ id: 'S', gap: 'right edge' });
    expect(s!.arrives).toBeGreaterThan(2);
    expect(s!.arrives).toBeLessThan(2.8);
  });

  it('men who slide take whoever comes into their gap', () => {
    const odd = front('LE 5 left; N 0; RE 5 right; W 20 left @4.5; M 20 right @4.5; J (-13, 5) lb; S (13, 5) lb');
    const r = tryPressure(prepare('pro-half-slide'), odd, ['W', 'N', 'M', 'RE'], null)!;
    expect(r.free).toEqual([]);
    expect(who(r)).toBe('M:RG N:C RE:RT W:B');
  });

  it('does not know somebody who is not there', () => {
    expect(tryPressure(prepare('pro-man'), front(OVER), ['XX'], null)).toBeNull();
    expect(tryPressure(prepare('pro-man'), front(OVER), ['LE'], ['LE', 'RE'])).toBeNull();
    expect(() =>
      provePressures(
        prepareCall(need(shippedScheme('power')), formationOf('LT LG C RG RT H right'), { side: 'right' }),
        front(OVER),
      ),
    ).toThrow(/no protection/);
  });
});

describe('mending a protection', () => {
  let mended = 0;
  const fronts = {
    odd: front('LE 4 left; N 0; RE 4 right; W 20 left @4.5; M 20 right @4.5; J (-13, 5) lb; S (13, 5) lb'),
    'over, pressure from the left': front(`${OVER.replace('S (13, 9)', 'S (-13, 5)')}`),
  };
  const cases = ['pro-five-back', 'pro-half-slide', 'pro-three-slide', 'pro-man'].flatMap((id) =>
    (Object.keys(fronts) as (keyof typeof fronts)[]).map((name) => [id, name] as const),
  );

  it.each(cases)('%s against %s: offers only what helps, and what it promises comes true', (id, name) => {
    const odd = fronts[name];
    const prepared = prepare(id);
    const now = provePressures(prepared, odd);
    const mends = mendProtection(prepared, odd, now);
    const after = ({ change }: (typeof mends)[number]): Prepared =>
      prepare(
        id,
        change.kind === 'side'
          ? { side: 'left' }
          : change.kind === 'mike'
            ? { overrides: { mike: change.id } }
            : change.on
              ? { tags: [change.tag] }
              : { without: [change.tag] },
      );
    for (const m of mends) {
      expect(m.short * 1000 + m.late).toBeLessThan(now.counts.short * 1000 + now.counts.late);
      expect(provePressures(after(m), odd).counts).toMatchObject({ short: m.short, late: m.late });
    }
    mended += mends.length;
  });

  it('finds something at all', () => expect(mended).toBeGreaterThan(0));
});
