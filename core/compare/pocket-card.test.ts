import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { mirrorText } from '../language/lineups/print-lineup';
import { shippedScheme } from '../calls/resolve-call';
import { need } from '../testing/need';
import { resolve } from '../movement/play';
import { pocketCard, type PocketCard } from './pocket-card';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const FIVE = 'LT LG C RG RT; B';
const card = (id: string, man: string, front = OVER, formation = FIVE): PocketCard | null => {
  const men = need(readFormation(formation));
  return pocketCard(
    { scheme: need(shippedScheme(id)), formation: men, front: need(readFront(front, men)), call: { side: 'right' } },
    man,
  );
};
const row = (found: PocketCard | null, when: RegExp) => found!.rows.find((r) => when.test(r.when))!;

describe('a pocket card', () => {
  it('says whom he has and what he does when that one does something else', () => {
    const tackle = card('inside-zone-z1', 'RT')!;
    expect(tackle.has).toBe('drive RE');
    expect(tackle.rows.map((r) => r.when)).toEqual([
      'RE slants in',
      'RE slants out',
      'RE goes in and M takes his place',
      'RE drops out',
    ]);
  });

  it('adds what the man he goes on to can do', () => {
    const centre = card('inside-zone-z1', 'C')!;
    expect(centre.rows.map((r) => r.when)).toEqual(
      expect.arrayContaining(['M walks up', 'M comes at once', 'M runs with the play']),
    );
  });

  it('tells what the engine says of that movement, and whether it is anything new', () => {
    const men = need(readFormation(FIVE));
    const slant = row(card('inside-zone-z1', 'RT'), /slants in$/);
    const after = resolve(need(shippedScheme('inside-zone-z1')), men, need(readFront(`${OVER}; RE slant left`, men)), {
      side: 'right',
    });
    const his = after.assignments.find((a) => a.blocker === 'RT')!;
    expect(slant.does).toContain(his.target ?? 'nobody');
    expect(slant.verdict).toBe(after.verdict);
    expect(slant.same).toBe(his.target === 'RE' && his.block === 'drive');
    expect(row(card('inside-zone-z1', 'RT'), /slants out$/)).toMatchObject({ does: 'drive RE', same: true });
  });

  it('is none for a man without a job or without a man', () => {
    expect(card('inside-zone-z1', 'B')).toBeNull();
    expect(card('inside-zone-z1', 'LT', 'N 1 left; T 3 right; RE 5 right')).toBeNull();
  });

  it('leaves out what the front itself does after the snap', () => {
    expect(card('inside-zone-z1', 'RT', `${OVER}; slant left`)).toEqual(card('inside-zone-z1', 'RT'));
  });

  it('is the same in the mirror', () => {
    const men = need(readFormation(mirrorText(FIVE)));
    const front = need(readFront(mirrorText(OVER), men));
    const other = pocketCard(
      { scheme: need(shippedScheme('inside-zone-z1')), formation: men, front, call: { side: 'left' } },
      'LT',
    )!;
    expect(other.rows.map((r) => [r.when, r.same])).toEqual(
      card('inside-zone-z1', 'RT')!.rows.map((r) => [r.when, r.same]),
    );
  });
});
