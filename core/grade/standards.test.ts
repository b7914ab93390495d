import { describe, expect, it } from 'vitest';
import { FAULTS } from '../model/faults';
import { PHASES } from '../model/phases';
import { BLOCKS, type BlockId } from '../vocabulary/index';
import { faultsOffered, phasesOf, standardOf, STANDARDS } from './standards';

const BLOCK_IDS = Object.keys(BLOCKS) as BlockId[];

describe('the sheet of every block', () => {
  it.each(BLOCK_IDS)('%s: success, failure, parts and faults of its own', (block) => {
    const sheet = STANDARDS[block];
    for (const said of [sheet.doneWhen, sheet.notWhen]) expect(said).toMatch(/^[A-Z].*\.$/);
    const parts = Object.keys(sheet.phases);
    expect(parts).toContain('start');
    expect(parts).toContain('finish');
    expect(new Set(sheet.faults).size).toBe(sheet.faults.length);
    for (const fault of sheet.faults) expect(fault in FAULTS, fault).toBe(true);
  });

  it('is a copy of no other', () => {
    const texts = BLOCK_IDS.filter((b) => !['read', 'leave'].includes(b)).map((b) =>
      JSON.stringify(STANDARDS[b].phases),
    );
    expect(new Set(texts).size).toBe(texts.length);
    const said = BLOCK_IDS.flatMap((b) => Object.values(STANDARDS[b].phases).map((w) => JSON.stringify(w)));
    expect(said.length - new Set(said).size).toBeLessThanOrEqual(1);
  });

  it('stands in the order in which it happens, and of a pair as his part is', () => {
    const inner = phasesOf('double', 'inner');
    expect(inner.map((p) => p.phase)).toEqual([...PHASES]);
    const outer = phasesOf('double', 'outer');
    expect(inner[0]!.says).not.toBe(outer[0]!.says);
    expect(inner[2]!.says).toBe(outer[2]!.says);
    expect(phasesOf('double', 'alone')).toEqual(inner);
    expect(phasesOf('no such block', 'alone')).toEqual([]);
    expect(standardOf('no such block')).toBeNull();
  });
});

describe('faults on keys', () => {
  const own = [
    { id: 'looked-up', name: 'looked up', part: 'pads', blocks: ['reach'] },
    { id: 'soft-hands', name: 'soft hands', part: 'hands', blocks: [] },
  ];

  it('are those the program has added for the block, then those it is prone to, as many as there are keys', () => {
    expect(faultsOffered('reach', own, 6)).toEqual(['looked-up', ...STANDARDS.reach.faults.slice(0, 5)]);
    expect(faultsOffered('down', own, 3)).toEqual(STANDARDS.down.faults.slice(0, 3));
    expect(faultsOffered('read', [], 6)).toEqual(['wrong-man']);
  });
});
