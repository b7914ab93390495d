import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { libraryText } from '#core/library/library';
import { serve, type FakeServer } from '~/testing/fake-server';
import { withWorkers } from '~/testing/fake-worker';
import { useMatrix } from '~/features/matrix/store';
import { usePlaybook } from '~/features/playbook/store';
import { useProtection, START as PROTECT } from '~/features/protection/store';
import { useRules } from '~/features/rules/store';
import { START, useWalkthrough } from '~/features/walkthrough/store';

let server: FakeServer;
beforeEach(() => {
  setActivePinia(createPinia());
  server = serve();
  withWorkers();
});
const until = async (holds: () => boolean): Promise<void> => {
  for (let i = 0; !holds(); i++) {
    if (i > 20_000) throw new Error('it never came to that');
    await new Promise((resolve) => setTimeout(resolve));
  }
};
const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right; J (-14, 10)';

describe('the strip beside the rules', () => {
  it('says what the text does to every front, and what an edit changes', async () => {
    const rules = useRules();
    rules.open('power');
    await until(() => rules.looks.length > 0);
    expect(rules.looks.map((l) => l.id)).toEqual(usePlaybook().fronts.map((f) => f.id));
    expect(rules.looks.every((l) => l.verdict === l.before)).toBe(true);
    rules.text = rules.text.replace('bump over to a free man', 'bump nobody');
    await until(() => rules.looks.some((l) => l.verdict !== l.before));
    expect(rules.looks).toHaveLength(usePlaybook().fronts.length);
  });

  it('keeps what a text did while the next one cannot be read', async () => {
    const rules = useRules();
    rules.open('power');
    await until(() => rules.looks.length > 0);
    const before = rules.looks.map((l) => `${l.id} ${l.verdict}`);
    rules.text = rules.text.replace('always: pull', 'always: pulll');
    await nextTick();
    await until(() => !rules.working);
    expect(rules.looks.map((l) => `${l.id} ${l.verdict}`)).toEqual(before);
  });

  it('never shows the answers of one play beside another', async () => {
    const rules = useRules();
    rules.open('power');
    await until(() => rules.looks.length > 0);
    rules.open('inside-zone-z1');
    expect(rules.looks).toEqual([]);
    await until(() => rules.looks.length > 0);
    expect(rules.looks.every((l) => l.before === l.verdict)).toBe(true);
  });

  it('says when it cannot be worked out', async () => {
    withWorkers({ broken: true });
    const rules = useRules();
    rules.open('power');
    await until(() => rules.stripProblem !== '');
    expect(rules.stripProblem).toContain('out of memory');
    expect([rules.working, rules.text]).toEqual([false, libraryText('schemes', 'power')]);
  });
});

describe('the matrix', () => {
  it('works nothing out before it is opened, then fills row by row', async () => {
    const matrix = useMatrix();
    matrix.family = 'gap';
    await nextTick();
    expect([matrix.running, matrix.done]).toEqual([false, 0]);
    matrix.open();
    await until(() => matrix.done > 0);
    expect(matrix.rows.some((r) => r.cells.length === 0)).toBe(true);
    await until(() => !matrix.running);
    expect(matrix.done).toBe(matrix.total);
    for (const row of matrix.rows) {
      expect(row.cells.map((c) => c.front)).toEqual(matrix.fronts.map((f) => f.id));
      expect(row.sound).toBe(row.cells.filter((c) => c.verdict === 'sound').length);
    }
  });

  it('leaves out what the league does not allow, and says how much', () => {
    const [matrix, playbook] = [useMatrix(), usePlaybook()];
    const all = matrix.fronts.length;
    expect(matrix.leftOut).toBe(0);
    playbook.program = { settings: { ...playbook.settings, leagueCentre: 'nobody' } };
    expect(matrix.leftOut).toBeGreaterThan(0);
    expect(matrix.fronts.length + matrix.leftOut).toBe(all);
    expect(matrix.fronts.map((f) => f.id)).not.toContain('odd');
    expect(playbook.fronts.find((f) => f.id === 'odd')!.against).toBe(
      'A man stands over the centre; your league forbids it.',
    );
  });

  it('asked something else it drops what was on its way', async () => {
    const matrix = useMatrix();
    matrix.family = 'gap';
    matrix.open();
    await until(() => matrix.done > 0);
    matrix.family = 'screen';
    await until(() => !matrix.running && matrix.rows[0]!.scheme === 'screen');
    expect(matrix.rows.map((r) => r.scheme)).toEqual(['screen']);
    expect(matrix.rows[0]!.cells).toHaveLength(matrix.fronts.length);
  });
});

describe('the walkthrough', () => {
  it('says who is too many, what mends it and what movements do; a new call brings new advice', async () => {
    const board = useWalkthrough();
    board.setUp({ ...START, front: ODD });
    await until(() => !board.advising && board.oneTooMany !== null);
    expect([board.oneTooMany!.who, board.underMovement!.still]).toEqual(['J', 'at risk']);
    board.setUp({ ...START, front: 'over' });
    await until(() => !board.advising && board.oneTooMany === null);
    expect([board.mendings, board.underMovement!.still]).toEqual([[], 'sound']);
  });

  it('judges a run on the down it is called on, advice included', async () => {
    const board = useWalkthrough();
    const front = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S (12, 18) db';
    board.setUp({ ...START, front });
    await until(() => board.oneTooMany !== null);
    expect([board.resolution!.verdict, board.oneTooMany!.who]).toEqual(['at risk', 'S']);
    board.setUp({ ...START, front, on: '4th and 1' });
    await until(() => !board.advising && board.oneTooMany === null);
    expect(board.resolution).toMatchObject({ verdict: 'sound', expected: { standard: 1, metBy: 'S' } });
    board.setUp({ ...START, front, on: 'the fifth' });
    expect(board.call.on).toBe('');
  });

  it('does what an answer says', async () => {
    const board = useWalkthrough();
    board.setUp({ ...START, scheme: 'duo', front: ODD.replace('J (-14, 10)', 'S (14, 10)') });
    await until(() => board.oneTooMany !== null);
    const bring = board.oneTooMany!.answers.find((a) => a.kind === 'bring')!;
    board.make(bring.change!);
    expect(board.formation!.men.map((m) => m.id)).toContain('Y');
    expect(board.resolution!.defenders.find((d) => d.id === 'S')!.status).not.toBe('free');
  });

  it('has the pocket card of the man in hand and of nobody else', async () => {
    const board = useWalkthrough();
    board.setUp({ ...START, front: 'over' });
    await nextTick();
    expect(board.card).toBeNull();
    board.selected = 'RT';
    await until(() => board.card !== null);
    expect(board.card!.man).toBe('RT');
    board.selected = 'C';
    expect(board.card).toBeNull();
    await until(() => board.card !== null);
    expect(board.card!.man).toBe('C');
  });

  it('says when advice cannot be worked out, and the board stays', async () => {
    withWorkers({ broken: true });
    const board = useWalkthrough();
    board.setUp({ ...START, front: ODD });
    await until(() => board.adviceProblem !== '');
    expect(board.resolution!.verdict).toBe('at risk');
  });
});

describe('a protection', () => {
  it('has its mends tried beside the screen', async () => {
    const p = useProtection();
    p.setUp({ ...PROTECT, scheme: 'pro-half-slide', front: 'over-walked' });
    await until(() => p.trying);
    await until(() => !p.trying);
    const { short } = p.proof!.counts;
    const [best] = p.mends;
    for (const m of p.mends) expect(m.short).toBeLessThanOrEqual(short);
    p.make(best!);
    expect(p.proof!.counts.short).toBe(best!.short);
  });

  it('offers every man near the ball as the one to count from', () => {
    const p = useProtection();
    p.setUp({ ...PROTECT, front: 'over-two-high', mike: 'S' });
    expect([p.call.mike, p.resolution!.identification.mike.id, p.proof!.mike]).toEqual(['S', 'S', 'S']);
    p.setUp({ ...PROTECT, front: 'odd', mike: 'nobody' });
    expect(p.call.mike).toBe('');
  });
});

describe('kept texts', () => {
  it('change what the workers are asked with', async () => {
    const playbook = usePlaybook();
    const rules = useRules();
    rules.open('power');
    await until(() => rules.looks.length > 0);
    await playbook.add([{ shelf: 'fronts', text: 'front ours "Ours"\nT 3 right\nN 1 left\nLE 5 left\nRE 5 right\n' }]);
    await until(() => rules.looks.some((l) => l.id === 'ours'));
    expect(server.count('fronts')).toBe(1);
  });
});
