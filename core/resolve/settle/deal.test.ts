import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { checkText } from '../../language/check';
import { printTree } from '../../language/print';
import { readTree } from '../../language/read';
import { schemeFrom } from '../../library/library';
import { SHIPPED_SETTINGS } from '../../model/settings';
import { aFront } from '../../testing/fronts';
import { decide } from '../resolve';
import { prepareCall } from '../prepare/prepare-call';
import { NOBODY } from '../../vocabulary/scene';
import { need } from '../../testing/need';

const text = (deal: string): string => `scheme x "X"
family protection
track pass
throw quick
cover shoulders

${deal}

all five linemen
  always: man the man dealt to me
  otherwise: slide to my inside gap
`;
const formation = need(readFormation('LT LG C RG RT B'));
const dealtBy = (deal: string, front: string): Record<string, string | null> => {
  const prepared = prepareCall(need(schemeFrom(text(deal))), formation, { side: 'right' });
  const { scene } = decide(prepared, need(readFront(front, formation))).settled;
  return Object.fromEntries(
    scene.men
      .slice(0, scene.lineCount)
      .map((m) => [m.id, scene.dealt[m.index] === NOBODY ? null : scene.defenders[scene.dealt[m.index]!]!.id]),
  );
};

const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left @4.5; M 20 right @4.5';

describe('dealing', () => {
  it('leaves a man whoever stands on him and gives the rest in order', () => {
    expect(
      dealtBy('deal all to all five linemen: the five nearest men on the line, the Mike, the most dangerous man', ODD),
    ).toEqual({ LT: 'LE', LG: 'W', C: 'N', RG: 'M', RT: 'RE' });
  });

  it('keeps men on the line near before a linebacker has the nearest man', () => {
    // Given to the man nearest to him, the Mike would send the centre twelve feet out.
    expect(
      dealtBy(
        'deal all to all five linemen: the four nearest men on the line, the Mike',
        'LE (-10.9, 2); N 0; RE (9.1, 2); S (12.2, 2); M (6, 12) lb mike',
      ),
    ).toEqual({ LT: 'LE', LG: 'N', C: 'M', RG: 'RE', RT: 'S' });
  });

  it('deals strictly from left to right when told so', () => {
    expect(
      dealtBy(
        'deal all to all five linemen in order: the three nearest men on the line, the Mike',
        'LE 5 left; N 3 left; RE 5 right; M 20 right @4.5',
      ),
    ).toEqual({ LT: 'LE', LG: 'N', C: null, RG: 'M', RT: 'RE' });
  });

  it('takes the first line of a name whose picture fits', () => {
    const lines = 'deal all to the centre when four or more are down: the Mike\ndeal all to the centre: the nose';
    expect(dealtBy(lines, ODD).C).toBe('N');
    expect(dealtBy(lines, `${ODD}; X 9 right`).C).toBe('M');
  });

  it('deals nobody twice, unless a second man is asked for, and never more than there are men', () => {
    const scheme = need(
      schemeFrom(
        text(
          'deal one to the playside tackle, the centre: the most dangerous man, the Mike, every man outside the centre\ndeal two to all five linemen: the five nearest men on the line, the most dangerous man',
        ),
      ),
    );
    const prepared = prepareCall(scheme, formation, { side: 'left', settings: SHIPPED_SETTINGS });
    fc.assert(
      fc.property(aFront(formation), (front) => {
        const { scene } = decide(prepared, front).settled;
        const dealt = scene.dealt.filter((d) => d !== NOBODY);
        expect(new Set(dealt).size).toBe(dealt.length);
        for (const [man, d] of scene.dealt.entries()) if (d !== NOBODY) expect(scene.men[man]!.post).not.toBeNull();
      }),
    );
    expect(dealtBy('deal all to all five linemen in order: the nose, a second man for the nose', ODD)).toMatchObject({
      C: 'N',
    });
  });

  it('a protection needs its throw and no entry, also when what it says of it cannot be read', () => {
    const codes = (body: string): string[] =>
      checkText(body)
        .filter((d) => d.severity === 'error')
        .map((d) => `${d.code} ${String(d.params.what ?? '')}`.trim());
    const whole = text('deal all to all five linemen: the nose');
    expect(codes(whole)).toEqual([]);
    expect(codes(whole.replace('throw quick\n', ''))).toEqual(['scheme.head-missing throw']);
    expect(codes(whole.replace('throw quick', 'throw far'))).toEqual([
      'scheme.head-value the throw',
      'scheme.head-missing throw',
    ]);
  });

  it('reads and prints its line, and says what is wrong with one', () => {
    const full = text(
      'deal all to all five linemen, the back in order when there is a nose and tag x is on: the two outermost men on the line backside, a second man for the Mike',
    ).replace('\ndeal', '\ntag x "x"\ndeal');
    expect(printTree(readTree(full).tree!)).toContain(
      'deal all to all five linemen, the back in order when there is a nose and tag x is on: the two outermost men on the line backside, a second man for the Mike',
    );
    for (const [deal, code] of [
      ['deal all all five linemen: the nose', 'text.expected'],
      ['deal all to all five linemen the nose', 'text.expected'],
      ['deal all to all five linemen: the nosse', 'text.expected-near'],
      ['deal all to all fiv: the nose', 'text.expected-near'],
      ['deal all to all five linemen when: the nose', 'text.expected'],
    ] as const) {
      expect(checkText(text(deal)).find((d) => d.severity === 'error')?.code, deal).toBe(code);
    }
    expect(
      checkText(text('deal all to all five linemen: the nose').replace('man the man dealt to me', 'man the nose')).map(
        (d) => d.code,
      ),
    ).toContain('scheme.deal-unused');
  });
});
