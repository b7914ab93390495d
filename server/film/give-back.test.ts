import { describe, expect, it } from 'vitest';
import { giveBack } from './give-back';

describe('memory that is given back', () => {
  it('is free at once, without the collector', () => {
    const before = process.memoryUsage().arrayBuffers;
    const pieces = Array.from({ length: 50 }, () => Buffer.alloc(1_000_000, 'x'));
    expect(process.memoryUsage().arrayBuffers - before).toBeGreaterThan(49_000_000);
    giveBack(pieces);
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(1_000_000);
    expect(pieces.every((piece) => piece.length === 0)).toBe(true);
  });

  it('leaves alone what shares its memory with others', () => {
    const all = Buffer.alloc(100, 'film');
    const part = all.subarray(0, 40);
    const pooled = Buffer.from('a short one');
    giveBack([part, all.subarray(60), pooled]);
    expect([part.toString('latin1', 0, 4), all.length, pooled.toString()]).toEqual(['film', 100, 'a short one']);
  });

  it('may be of nothing, and of the same nothing again', () => {
    const piece = Buffer.alloc(10);
    giveBack([piece]);
    giveBack([piece]);
    giveBack([]);
    expect(piece.length).toBe(0);
  });
});
