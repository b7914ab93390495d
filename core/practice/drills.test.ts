import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { STANDARDS } from '../grade/standards';
import { drillFrom, libraryIds, libraryText } from '../library/library';
import { CONTACT_IDS, DAILY_IDS, DrillSchema, GEARS, isContact, isWornFor, THEIR_WAYS } from '../model/drill';
import { FAULT_IDS } from '../model/faults';
import { PHASES, type Phase } from '../model/phases';
import { unitOf } from '../grade/book/marked';
import { BLOCKS, type BlockId } from '../vocabulary/index';
import { cautionsOfDrill, isCaution, sayContact } from './cautions';

const BLOCK_IDS = Object.keys(BLOCKS) as BlockId[];
const DRILLS = SHIPPED_PLAYBOOK.drills();

describe('the drills that ship', () => {
  it('are all read, at least forty, each under its own id with a name of its own', () => {
    expect(DRILLS.length).toBeGreaterThanOrEqual(40);
    expect(DRILLS.map((d) => d.id)).toEqual(libraryIds('drills'));
    expect(new Set(DRILLS.map((d) => d.name)).size).toBe(DRILLS.length);
    for (const id of libraryIds('drills')) expect(drillFrom(libraryText('drills', id)!)).toMatchObject({ ok: true });
  });

  it('name blocks, faults, parts of the line and cautions that there are', () => {
    const units = new Set(['LT', 'LG', 'C', 'Y', 'X', 'B'].map(unitOf));
    for (const d of DRILLS) {
      expect(d.blocks.filter((b) => !BLOCK_IDS.includes(b as never))).toEqual([]);
      expect(d.faults.filter((f) => !FAULT_IDS.includes(f as never))).toEqual([]);
      expect(d.units.filter((u) => !units.has(u))).toEqual([]);
      expect(d.cautions.filter((c) => !isCaution(c))).toEqual([]);
      expect(d.minutes.least).toBeLessThanOrEqual(d.minutes.usual);
    }
  });

  it('leave no fault without a drill that mends it', () => {
    const mended = new Set(DRILLS.flatMap((d) => d.faults));
    expect(FAULT_IDS.filter((f) => !mended.has(f))).toEqual([]);
  });

  it('leave no block without a drill of its own, and no item a man is graded on without one that teaches it', () => {
    const named = new Set(DRILLS.flatMap((d) => d.blocks));
    expect(BLOCK_IDS.filter((b) => !named.has(b))).toEqual([]);
    const teaches = (block: string, phase: Phase): boolean =>
      DRILLS.some((d) => (d.blocks.length === 0 || d.blocks.includes(block)) && d.phases.includes(phase));
    const holes = BLOCK_IDS.flatMap((block) =>
      PHASES.filter((phase) => STANDARDS[block].phases[phase] !== undefined && !teaches(block, phase)).map(
        (phase) => `${block}: ${phase}`,
      ),
    );
    expect(holes).toEqual([]);
  });

  it('have something for every day, and for everything an opponent does', () => {
    for (const daily of DAILY_IDS) expect(DRILLS.some((d) => d.daily === daily)).toBe(true);
    for (const way of THEIR_WAYS) expect(DRILLS.some((d) => d.answers.includes(way))).toBe(true);
    expect(DRILLS.some((d) => d.kind === 'exchange')).toBe(true);
  });

  it('put one man at a time under the chute, watched, and match men who meet for size', () => {
    for (const d of DRILLS.filter((x) => x.house === 'chute'))
      expect([d.atOnce, d.each, d.watched]).toEqual([1, 1, true]);
    for (const d of DRILLS.filter((x) => x.contact === 'live')) expect([d.pairs, d.watched]).toEqual([true, true]);
    for (const d of DRILLS.filter((x) => isContact(x.contact)))
      expect(cautionsOfDrill(d).join(' ')).toContain('never the helmet');
  });
});

describe('a drill', () => {
  it('that says something else than a drill is refused with what and where', () => {
    const text = JSON.stringify({ ...DRILLS[0]!, pace: -1, contact: 'rough' });
    const read = drillFrom(text);
    expect(read.ok ? [] : read.diagnostics.map((d) => d.params.where)).toEqual(['pace', 'contact']);
    expect(drillFrom('{')).toMatchObject({ ok: false });
    expect(DrillSchema.safeParse({ ...DRILLS[0]!, ladder: [] }).success).toBe(false);
  });

  it('is done in the gear its contact asks for, or more', () => {
    for (const [i, contact] of CONTACT_IDS.entries())
      expect(GEARS.map((gear) => isWornFor(gear, contact))).toEqual(GEARS.map((_, at) => at >= i));
    expect(CONTACT_IDS.map(sayContact)).toEqual([
      'no contact',
      'bags and shields, helmets or more',
      'thud, shoulder pads or more',
      'live, full gear or more',
    ]);
  });
});
