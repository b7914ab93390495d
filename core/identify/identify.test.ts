import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SettingsSchema } from '../model/settings';
import { readFront } from '../language/lineups/read-front';
import { sayFront } from '../language/lineups/print-lineup';
import { aLineup, formationOf, mirrorFormation, mirrorFront } from '../testing/fronts';
import { identify, type IdentifyOptions } from './identify';

function on(formation: string, front: string, options: IdentifyOptions = {}) {
  const men = formationOf(formation);
  const read = readFront(front, men);
  if (!read.ok) throw new Error(JSON.stringify(read.diagnostics));
  return identify(men, read.value, options);
}
const FIVE = 'LT LG C RG RT';
const TIGHT = 'LT LG C RG RT Y right';
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';

describe('family', () => {
  it.each([
    [OVER, 'even', ['over']],
    ['LE 5 left; T 3 left; N 1 right; RE 5 right; W 10 left; M 30 right', 'even', ['under']],
    ['LE 5 left; T 3 left; N 3 right; RE 5 right; M 00', 'even', ['double three']],
    ['LE 4i left; N 0; RE 4i right; W 10 left; M 10 right', 'odd', ['tite']],
    ['LE 5 left; N 0; RE 5 right; W 50 left; M 00; S 50 right', 'odd', ['stack']],
    ['LE 5 left; N 0; RE 5 right; J 9 left up; S 9 right up; M 00', 'odd', ['stack', 'five-man']],
    ['LE 9 left; L 3 left; N 0; R 3 right; RE 9 right; M 00', 'bear', []],
    ['LE 5 left; RE 5 right; M 00', 'open', []],
    ['A 3 left; B 1 left; D 1 right; E 3 right; M 00', 'goal line', []],
  ])('%s is %s %j', (front, name, subNames) => {
    const { family } = on(FIVE, front);
    expect([family.name, family.subNames]).toEqual([name, subNames]);
    expect(family.because).toContain(name);
  });

  it('turns over to under when the tight end is on the other side', () => {
    expect(on('LT LG C RG RT Y left', OVER).family.subNames).toEqual(['under']);
    expect(on(FIVE, OVER, { side: 'left' }).family.subNames).toEqual(['under']);
  });

  it('counts a man 1.5 ft outside the guard only while he is nearer the guard than the tackle', () => {
    expect(on('LT LG C RG RT split 6in', 'LE (-3.9, 2); N 0; RE 9 right').family.name).toBe('odd');
    expect(on(FIVE, 'LE (-5.5, 2); N 0; RE 9 right').family.name).toBe('even');
  });
});

describe('the items before the snap', () => {
  it('finds strength by tight end, then receivers, then the call', () => {
    expect(on(TIGHT, OVER).strength.side).toBe('right');
    expect(on(`${FIVE} X wide left Z slot left`, OVER, { side: 'right' }).strength.side).toBe('left');
    expect(on(FIVE, OVER, { side: 'left' }).strength).toMatchObject({
      side: 'left',
      because: expect.stringContaining('play side'),
    });
    expect(
      on(TIGHT, OVER, { settings: SettingsSchema.parse({ strength: 'field', strengthSide: 'left' }) }).strength.side,
    ).toBe('left');
  });

  it('gives each side its call', () => {
    const { sideCall } = on(FIVE, OVER);
    expect([sideCall.left.call, sideCall.right.call]).toEqual(['light', 'loaded']);
    expect(on(FIVE, 'LE 5 left; L 2 left; N 0; M 00').sideCall.left.call).toBe('loaded');
  });

  it('counts the box to two feet outside the tackle, or the tight end where the team says so', () => {
    const front = `${OVER}; S (10, 12); J (-10.1, 12)`;
    expect(on(FIVE, front).box).toMatchObject({ size: 7, spoken: 'even three', overhangs: ['J'] });
    expect(on(TIGHT, `${OVER}; S (13.9, 12)`).box.overhangs).toEqual(['S']);
    expect(
      on(TIGHT, `${OVER}; S (13.9, 12)`, { settings: SettingsSchema.parse({ box: 'tight-end' }) }).box.overhangs,
    ).toEqual([]);
  });

  it('orders linebackers from the play side and names the Mike', () => {
    expect(on(FIVE, OVER, { side: 'right' }).linebackers.ids).toEqual(['M', 'W']);
    expect(on(FIVE, OVER, { side: 'left' }).linebackers.ids).toEqual(['W', 'M']);
    expect(on(TIGHT, OVER).mike.id).toBe('M');
    expect(on(FIVE, 'LE 5 left; N 0; RE 5 right; W 50 left; M 00; S 50 right').mike.id).toBe('M');
    const four = 'N 0; A 40 left; B 10 left; D 10 right; E 40 right';
    expect(on(TIGHT, four).mike.id).toBe('D');
    expect(on(TIGHT, four, { settings: SettingsSchema.parse({ mike: 'weak' }) }).mike.id).toBe('B');
    expect(on(FIVE, `${OVER.replace('W 30 left', 'W 30 left mike')}`).mike).toMatchObject({ id: 'W', overruled: true });
  });

  it('lists bubbles', () => {
    expect(on(FIVE, OVER).bubbles.gaps).toEqual([
      { gap: 'B', side: 'left' },
      { gap: 'A', side: 'right' },
    ]);
  });

  it('finds end, force, corner and alley', () => {
    const { edge } = on(FIVE, `${OVER}; S (14, 12); CB (40, 18); FS (6, 36)`);
    expect(edge.right).toMatchObject({ endMan: 'RE', force: 'S', corner: 'CB', alley: 'FS' });
    expect(edge.left).toMatchObject({ endMan: 'LE', force: null });
    expect(on(FIVE, `${OVER}; CB (40, 18)`).edge.right).toMatchObject({ force: 'CB', corner: 'CB' });
    expect(on(FIVE, `${OVER}; S (14, 12); CB (40, 18) force`).edge.right.force).toBe('CB');
  });

  it.each(['left', 'right'] as const)('of two men as wide on the %s the shallower is the end man', (side) => {
    const x = side === 'left' ? -9 : 9;
    expect(on(FIVE, `S (${x}, 3.5); E (${x}, 2); N 0; M 00`).edge[side].endMan).toBe('E');
  });

  it('calls out walked-up men, but not a stand-up end', () => {
    expect(on(FIVE, `${OVER}; S 9 right up; J 90 left @1 up`).walkedUp.ids).toEqual(['J']);
  });

  it('counts hats, a man over the ball half to each side', () => {
    const { numbers } = on(FIVE, 'LE 5 left; N 0; RE 5 right; M 10 right');
    expect(numbers.offence).toEqual({ left: 2.5, right: 2.5 });
    expect(numbers.defence).toEqual({ left: 1.5, right: 2.5 });
  });

  it('lets the coach overrule, and says so', () => {
    const { family, mike } = on(FIVE, OVER, { overrides: { family: 'odd', mike: 'W' } });
    expect(family).toMatchObject({
      name: 'odd',
      overruled: true,
      because: expect.stringContaining('Worked out: 2 on the line'),
    });
    expect(mike).toMatchObject({ id: 'W', overruled: true });
  });
});

describe('techniques', () => {
  it.each([
    [FIVE, 'N 0', '0'],
    [FIVE, 'N 1 left', '1 left'],
    [FIVE, 'N 2i right', '2i right'],
    [FIVE, 'N 4i left', '4i left'],
    [FIVE, 'N 5 right', '5 right'],
    [FIVE, 'N 9 right', 'ghost 9 right'],
    [TIGHT, 'N 9 right', '9 right'],
    [TIGHT, 'N 6i right', '6i right'],
    [FIVE, 'N B left', 'B left'],
    [TIGHT, 'N C right', 'C right'],
    [`${FIVE} split 36in`, 'N 5 right', '5 right'],
    [FIVE, 'M 30 right', '30 right @4.5'],
    [FIVE, 'M 00 @5', '00 @5'],
  ])('on %s, %s is shown as %s', (formation, front, label) => {
    expect(on(formation, front).techniques[0]!.label).toBe(label);
  });

  it('speaks the team’s school without moving anybody', () => {
    const settings = SettingsSchema.parse({ techniques: 'shade-nose' });
    const men = formationOf(FIVE);
    const read = readFront('N shade left; T 1 right', men, 'x', 'x', settings);
    expect(read.ok && read.value.defenders.map((d) => d.x)).toEqual([-1, 3]);
    expect(on(FIVE, 'N 1 left; T 2i right', { settings }).techniques.map((t) => t.label)).toEqual([
      'shade left',
      '1 right',
    ]);
  });
});

describe('a team’s own words for techniques', () => {
  const own = SettingsSchema.parse({ aliases: { '4i': 'elbow', '9': 'porch' } });

  it('are shown and read, and move nobody', () => {
    const men = formationOf(TIGHT);
    const read = readFront('T elbow right; E porch right', men, 'x', 'x', own);
    expect(read.ok && read.value.defenders.map((d) => d.x)).toEqual([7, 13]);
    expect(on(TIGHT, 'T 4i right; E 9 right', { settings: own }).techniques.map((t) => t.label)).toEqual([
      'elbow right',
      'porch right',
    ]);
    expect(on(FIVE, 'LE 4i left; N 0; RE 4i right; M 00', { settings: own }).family.subNames).toContain('tite');
  });

  it('never make two places sound alike', () => {
    expect(SettingsSchema.safeParse({ aliases: { '2i': '1' } }).success).toBe(false);
    expect(SettingsSchema.safeParse({ aliases: '2i=1, 1=shade' }).success).toBe(true);
    expect(SettingsSchema.safeParse({ aliases: { '17': 'x' } }).success).toBe(false);
  });
});

describe('laws', () => {
  it('a mirrored line-up is identified as the mirror image', () => {
    fc.assert(
      fc.property(aLineup, ({ formation, front }) => {
        const here = identify(formation, front, { side: 'right' });
        const there = identify(mirrorFormation(formation), mirrorFront(front), { side: 'left' });
        expect(there.family.name).toBe(here.family.name);
        expect(there.sideCall.left.call).toBe(here.sideCall.right.call);
        expect(there.linebackers.ids).toEqual(here.linebackers.ids);
        expect(there.edge.left.force).toBe(here.edge.right.force);
        expect(there.box.size).toBe(here.box.size);
      }),
      { numRuns: 300 },
    );
  });

  it('a front printed in notation stands in the same places', () => {
    fc.assert(
      fc.property(aLineup, ({ formation, front }) => {
        const back = readFront(sayFront(front, formation), formation);
        expect(
          back.ok &&
            back.value.defenders.map((d) => [
              d.id,
              Number(d.x.toFixed(2)),
              Number(d.y.toFixed(2)),
              d.stance,
              d.position,
            ]),
        ).toEqual(
          front.defenders.map((d) => [d.id, Number(d.x.toFixed(2)), Number(d.y.toFixed(2)), d.stance, d.position]),
        );
      }),
      { numRuns: 200 },
    );
  });
});

describe('bad fronts and formations', () => {
  it.each([
    ['T 3 right; N 3 right', 'T and N stand on one spot'],
    ['T 3 right; T 5 right', 'T is in this front twice'],
    ['T 3', 'T 3 needs a side'],
    ['T 7x right', 'is no technique'],
    ['T (200, 4)', 'a place reads'],
    ['T 3 right @99', 'a depth is from 0 to 40 yards'],
    [
      Array.from({ length: 12 }, (_, i) => `D${i} (${i * 3 - 15}, 2)`).join('; '),
      'eleven defenders at most; this one has 12',
    ],
    ['N 0; W blitz A left', 'the movement names W'],
  ])('%s: %s', async (front, message) => {
    const { wordDiagnostic } = await import('../diagnostics/wording');
    const read = readFront(front, formationOf(FIVE));
    expect(read.ok).toBe(false);
    expect(read.diagnostics.map(wordDiagnostic).join()).toContain(message);
  });
});
