import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { schemeFrom } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import type { Resolution } from '../model/resolution';
import type { CompiledScheme } from './prepare/compile';
import { resolveStill } from './resolve';
import type { Call } from './prepare/prepare-call';
import { need } from '../testing/need';

const HEAD = 'scheme t "T"\nfamily gap\nentry playside A gap\ntrack gap\ntempo power\ncover shoulders\n';
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const FIVE = 'LT LG C RG RT';

function run(scheme: CompiledScheme, front = OVER, formation = FIVE, call: Call = { side: 'right' }): Resolution {
  const men = need(readFormation(formation));
  return resolveStill(scheme, men, need(readFront(front, men)), call);
}
const rules = (body: string, head = HEAD): CompiledScheme => need(schemeFrom(head + body));
const man = (r: Resolution, id: string) => r.assignments.find((a) => a.blocker === id)!;

describe('rules that chase each other', () => {
  const r = run(
    rules(
      'playside guard\n  when the centre is called to base: base the man on me\n  otherwise: climb to L1\ncentre\n  when the playside guard is called to base: climb to L2\n  otherwise: base the nose\n',
    ),
  );

  it('end in a problem that names both men and their lines', () => {
    const cycle = r.problems.find((p) => p.code === 'cycle')!;
    expect(cycle.severity).toBe('broken');
    expect(cycle.who.sort()).toEqual(['C', 'RG']);
    expect(cycle.message).toMatch(/lines \d+, \d+/);
  });
});

describe('partners', () => {
  const asks =
    'playside tackle\n  always: double the man on the playside guard with the playside guard, then climb\nplayside guard\n';

  it('a pair stands when the partner is on the same man, and is refused with the reason when he is not', () => {
    expect(man(run(rules(`${asks}  otherwise: base the man on me\n`)), 'RT')).toMatchObject({
      block: 'double',
      target: 'T',
      partners: ['RG'],
    });
    const lost = run(rules(`${asks}  otherwise: climb to L1\n`));
    expect(man(lost, 'RT').because.passedOver[0]!.reason).toBe('RG is called away, so nobody helps');
    expect(lost.problems.map((p) => p.code)).toContain('partner-cannot-come');
  });

  it('a helper too far away goes to the next level at once, nearer ones give one hand or a full double', () => {
    const help = rules(
      'playside guard\n  always: base the man on me\ncentre\n  always: help the playside guard on the man on the playside guard, then climb\n',
    );
    expect(man(run(help, 'T 2i right; M 10 right'), 'C')).toMatchObject({ target: 'T', help: 'full' });
    expect(man(run(help, 'T 3 right; M 10 right'), 'C')).toMatchObject({ target: 'T', help: 'hand', next: 'M' });
    expect(man(run(help, 'T 3 right; M 10 right', `${FIVE} split 36in`), 'C')).toMatchObject({
      block: 'climb',
      target: 'M',
      help: null,
    });
  });
});

describe('him', () => {
  it('is still him when linebackers are handed out', () => {
    // The first linebacker is "him": the next free one who is not him is the second.
    const r = run(rules('playside tackle\n  when there is L1: climb to the next free linebacker who is not him\n'));
    expect(man(r, 'RT').target).toBe('W');
  });

  const takes = (condition: string): string | null =>
    man(run(rules(`playside tackle\n  when ${condition}: base him\n`)), 'RT').target;

  it('is the man the last "there is" names, else the first a condition names', () => {
    expect(takes('the playside guard is covered')).toBe('T');
    expect(takes('the playside guard is covered and there is a man outside me')).toBe('RE');
    expect(takes('there is a man outside me and the playside guard is covered')).toBe('RE');
    expect(takes('there is a nose and there is a man outside me and there is no man head-up on me')).toBe('RE');
  });
});

describe('the numbers', () => {
  it('name as one too many whom the rules leave free in the box', () => {
    const read = shippedScheme('inside-zone-z1');
    if (!read.ok) throw new Error('z1');
    const r = run(read.value, `${OVER}; S (9, 12)`);
    expect(r.defenders.filter((d) => d.status === 'free').map((d) => d.id)).toEqual(['W']);
    // Of the three the backside one meets the ball last.
    expect(r.identification.numbers).toMatchObject({ count: 6, plusOne: 'W' });
  });
});

describe('a chip', () => {
  const chips = (end: string): Resolution =>
    run(
      rules(`backside tackle\n  always: ${end}\nthe back\n  always: chip the end man on the line backside\n`),
      'LE 5 left; N 1 left',
      'LT LG C RG RT B',
    );

  it('beside the man who has him is no second man unasked', () => {
    const r = chips('base the man on me');
    expect(r.defenders.find((d) => d.id === 'LE')).toMatchObject({ status: 'double', by: ['LT', 'B'] });
    expect(r.problems.map((p) => p.code)).not.toContain('two-on-one');
  });

  it('alone leaves him free', () => {
    const r = chips('climb');
    expect(man(r, 'B').target).toBe('LE');
    expect(r.defenders.find((d) => d.id === 'LE')).toMatchObject({ status: 'free', by: [] });
    expect(r.problems.map((p) => p.code)).toContain('free-on-line');
  });
});

describe('a man left for whom nobody else has', () => {
  const leave = (whom: string): string =>
    `backside tackle\n  always: climb, else base the first man head-up or outside me\nleft by design\n  always: leave ${whom}\n`;
  const end = 'every man head-up or outside the backside tackle';
  const withBacker = `${OVER}; J 50 left @4`;

  it('is taken by one whose sentence names him and who finds nobody else', () => {
    const r = run(rules(leave(`${end} whom nobody else has`)), 'LE 5 left; N 1 left');
    expect(man(r, 'LT')).toMatchObject({ block: 'base', target: 'LE' });
    expect(r.defenders.find((d) => d.id === 'LE')!.status).toBe('single');
  });

  it('stays left while there is a linebacker to climb to', () => {
    const r = run(rules(leave(`${end} whom nobody else has`)), withBacker);
    expect(man(r, 'LT').block).toBe('climb');
    expect(r.defenders.find((d) => d.id === 'LE')!.status).toBe('left');
  });

  it('stays left when he is left in any case', () => {
    const r = run(rules(leave(end)), 'LE 5 left; N 1 left');
    expect(man(r, 'LT').target).toBeNull();
    expect(r.defenders.find((d) => d.id === 'LE')!.status).toBe('left');
  });
});

describe('a climb', () => {
  const problems = (body: string, front: string): string[] => run(rules(body), front).problems.map((p) => p.message);
  const TO_L1 = 'playside tackle\n  always: climb to L1\n';

  it('of fourteen feet to the side is at risk, and nobody is sent so far to a linebacker of the box', () => {
    expect(problems('playside tackle\n  always: climb to the force\n', 'S (23, 12)')).toContain(
      'RT has 15 ft to the side to S: too far for a climb.',
    );
    expect(problems(TO_L1, 'W (2, 12)')).toEqual([]);
    expect(man(run(rules(TO_L1), 'W (-6, 12)'), 'RT').target).toBeNull();
    expect(man(run(rules(TO_L1), 'W (-5, 12)'), 'RT').target).toBe('W');
  });

  it('of more than ten feet is at risk past somebody nearer who is free, and says who', () => {
    const far = problems('playside tackle\n  always: climb to L2\n', 'W (-4, 12); M (6, 12)');
    expect(far).toContain('RT has 12 ft to the side to W, past M, who is nearer and free.');
    expect(problems('playside tackle\n  always: climb to L1\n', 'W (-4, 12)')).toEqual([]);
  });

  it('that crosses another is traded: a number says who is meant, and nobody crosses a team mate for it', () => {
    const sheet = 'playside tackle\n  always: climb to L2\ncentre\n  always: climb to L1\n';
    const r = run(rules(sheet), 'W (0, 12); M (6, 12)');
    expect([man(r, 'RT').target, man(r, 'C').target]).toEqual(['M', 'W']);
    expect(man(r, 'RT').because.rather).toBe('M, traded with a team mate so that nobody crosses');
  });

  it('that crosses a way which cannot be traded is at risk', () => {
    const sheet = 'playside tackle\n  always: climb to the alley\ncentre\n  always: climb to the force\n';
    expect(problems(sheet, 'S (11, 12); Q (10.5, 16)')).toContain('The ways of C to S and RT to Q cross.');
  });
});

describe('an unbalanced line', () => {
  const sheet = 'playside tackle\n  always: base the man on me\nbackside tackle\n  always: hinge on the man on me\n';
  const TWO = 'LG C RG RT LT';

  it('has two playside tackles one way, and none the other, whose job stays undone and is said', () => {
    const front = 'LE 5 left; T 4 right; RE 6 right';
    const toThem = run(rules(sheet), front, TWO);
    expect([man(toThem, 'RT').target, man(toThem, 'LT').target]).toEqual(['T', 'RE']);
    expect(toThem.notes).toContain('No backside tackle stands on that side: his job stays undone.');
    const away = run(rules(sheet), front, TWO, { side: 'left' });
    expect([man(away, 'RT').block, man(away, 'LT').block]).toEqual(['hinge', 'hinge']);
    expect(away.notes).toContain('No playside tackle stands on that side: his job stays undone.');
  });

  it('outside the tackle means outside the outermost of them', () => {
    const kicks = 'backside guard\n  always: pull and kick the first man outside the playside tackle\n';
    expect(man(run(rules(kicks), 'T 5 right; RE 9 right', TWO), 'LG').target).toBe('RE');
  });
});

describe('whoever has no job', () => {
  it('is said so: a tight end, wing, H or fullback of whom no sentence speaks, and never the runner', () => {
    const notes = run(rules('centre\n  always: climb\n'), OVER, 'LT LG C RG RT Y right H left F B').notes;
    expect(notes.filter((n) => n.includes('no job')).sort()).toEqual([
      'F has no job in this scheme.',
      'H has no job in this scheme.',
      'Y has no job in this scheme.',
    ]);
    expect(run(rules('centre\n  always: climb\n'), OVER, 'LT LG C RG RT F').notes).toEqual([]);
  });
});

describe('a lineman with nobody', () => {
  const r = run(rules('playside tackle\n  always: climb\n'), 'S (12, 9)');

  it('is told which overhang a sentence would give him, as a note: what is wrong is that the overhang comes', () => {
    expect(r.notes).toEqual([
      'RT has nobody to block and S, outside the box, is free. Overhangs are taken by name: “climb to the first free overhang” in his sentence would do it.',
    ]);
    expect(r.problems.map((p) => [p.code, p.who])).toEqual([['free-linebacker', ['S']]]);
    expect(
      man(run(rules('playside tackle\n  always: climb, else climb to the first free overhang\n'), 'S (12, 9)'), 'RT')
        .target,
    ).toBe('S');
  });
});

describe('bumping over', () => {
  const body =
    'playside guard\n  always: climb to L1\ncentre\n  always: base the nose\nbackside guard, backside tackle, playside tackle\n  always: climb\n';

  it('happens only where the scheme says so, and says which line says it', () => {
    const without = run(rules(body));
    expect(without.defenders.find((d) => d.id === 'T')!.status).toBe('free');
    const bumped = run(rules(body, `${HEAD}bump over to a free man\n`));
    expect(man(bumped, 'RG')).toMatchObject({ target: 'T', block: 'base' });
    expect(man(bumped, 'RG').because).toMatchObject({ line: 7, sentence: 'bump over to a free man: he takes T' });
    expect(man(bumped, 'RG').because.passedOver.at(-1)!.sentence).toBe('always: climb to L1');
  });

  it('moves men along until somebody has a hand free', () => {
    const chain = rules(
      'playside guard\n  always: base the man on me\ncentre\n  always: base the nose\nbackside guard\n  always: climb\n',
      `${HEAD}bump over to a free man\n`,
    );
    const r = run(chain, 'N 0; M A right @1 up lb; T 3 right');
    expect([man(r, 'C').target, man(r, 'LG').target, man(r, 'RG').target]).toEqual(['M', 'N', 'T']);
  });

  it('never leaves two men on one defender unasked', () => {
    const two = run(
      rules(
        'playside guard, playside tackle\n  always: base the man on the playside guard\n',
        `${HEAD}bump over to a free man\n`,
      ),
      'T 3 right; M 30 right',
    );
    expect(man(two, 'RG').target).toBe('T');
    expect(man(two, 'RT')).toMatchObject({ block: 'climb', target: 'M' });
    expect(two.problems.map((p) => p.code)).not.toContain('two-on-one');
  });
});

describe('what goes with a call', () => {
  it('tags of the edge: a receiver takes the overhang, or he is left for the quarterback', () => {
    const zone = need(shippedScheme('inside-zone-z1'));
    const front = `${OVER}; S (14, 11)`;
    const spread = `${FIVE} Z slot right`;
    expect(run(zone, front, spread).defenders.find((d) => d.id === 'S')!.status).toBe('free');
    expect(man(run(zone, front, spread, { side: 'right', tags: ['receiver'] }), 'Z')).toMatchObject({
      block: 'seal',
      target: 'S',
    });
    const left = run(zone, front, spread, { side: 'right', tags: ['conflict'] }).defenders.find((d) => d.id === 'S')!;
    expect(left).toMatchObject({ status: 'left', because: 'when tag conflict is on: leave the conflict man' });
  });

  it('a pair of plays says when the other one should be run', () => {
    const inside = need(shippedScheme('goal-line-inside'));
    const goal = 'X tight left LT LG C RG RT Y right split 0in F B QB under';
    expect(run(inside, 'T B right; N 0; LE 5 left; RE 9 right; M 00', goal).notes).toContain(
      'Change with me: this is the picture for goal-line-outside.',
    );
    expect(run(inside, 'T 2i right; N 0; LE 5 left; RE 9 right; M 00', goal).notes.join()).not.toContain(
      'Change with me',
    );
  });

  it('words of the week are said, in the order spoken', () => {
    const words = {
      loaded: 'Anvil',
      light: 'Feather',
      mike: '{id} is home',
      pair: 'Twin',
      gone: 'Post',
      share: 'share',
      headUp: 'Head',
      clear: 'Clear',
      solo: 'Lark',
    };
    const { calls } = run(need(shippedScheme('power')), OVER, `${FIVE} H right`, { side: 'right', words });
    expect(calls.map((c) => `${c.from} ${c.word}`)).toEqual([
      'LT Feather',
      'RT Anvil',
      'C M is home',
      'C Post',
      'RG Twin',
      'RT Twin',
    ]);
  });
});

describe('a lineman whose linebacker somebody else has, where men bump over', () => {
  const front = 'D0 (4.7, 2); D1 (-8.8, 2); D2 (11.5, 2); B0 (-9.4, 8); B1 (-0.1, 8); B2 (2.2, 8); FS (-12.3, 20) db';
  const r = run(need(shippedScheme('inside-zone-z4')), front, 'LT LG C RG RT Y left', { side: 'left' });

  it('is shared out with the others: the end need not run inside for the man over him', () => {
    expect(man(r, 'C')).toMatchObject({ target: 'B1', because: { line: expect.any(Number) } });
    expect(man(r, 'Y').target).toBe('FS');
    expect(r.verdict).toBe('sound');
  });

  it('crosses nobody for it, and of two leaves the one who meets the ball later', () => {
    const four =
      'D0 (5.2, 2); D1 5 left; D2 9 right; S (14.5, 2.5) up lb; B0 (-6.5, 10); B1 (-4.1, 10); B2 (3, 10); B3 (-1.6, 10)';
    const wide = run(need(shippedScheme('inside-zone-z4')), four, 'LT LG C RG RT Y right', { side: 'left' });
    expect(man(wide, 'C').target).toBe('B1');
    expect(wide.defenders.find((d) => d.id === 'B2')!.status).toBe('free');
    expect(wide.problems.map((p) => p.code)).not.toContain('crossing');
  });
});
