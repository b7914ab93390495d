import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { levelOf } from '../identify/line';
import { readFront } from '../language/lineups/read-front';
import { CallSchema } from '../model/snap';
import type { Front } from '../model/front';
import { formationOf, FORMATION_TEXTS, mirrorFormation, mirrorFront } from '../testing/fronts';
import { A_CALL } from '../testing/a-call';
import { need } from '../testing/need';
import { nextPictures } from './picture-changes';

const book = SHIPPED_PLAYBOOK;
const FORMATION = formationOf('LT LG C RG RT Y right');
const frontOf = (text: string, formation = FORMATION): Front => need(readFront(text, formation));
const OVER = frontOf('LE 5 left; N 1 left; T 3 right; RE 6 right; W 30 left; M 10 right; FS (0, 40) db');
const pictureOf = (says: string, front = OVER): Front => {
  const next = nextPictures(front, 'Over', FORMATION).find((p) => p.says === says);
  if (!next) throw new Error(`${says} is not offered`);
  return frontOf(next.front);
};
const manIn = (front: Front, id: string) => front.defenders.find((d) => d.id === id)!;
const offered = (front: Front): string[] => nextPictures(front, 'x', FORMATION).map((p) => p.says);

describe('what they may show next', () => {
  it('is a front of the same men that can be logged, whatever they show and whatever we stand in', () => {
    for (const text of FORMATION_TEXTS)
      for (const { id, name } of book.list('fronts')) {
        const formation = formationOf(text);
        const read = book.front(book.clauses('fronts', id), formation);
        if (!read.ok) continue;
        const front = read.value as Front;
        const all = nextPictures(front, name, formation);
        expect(all.length, `${id} against ${text}`).toBeGreaterThan(1);
        for (const { front: next, frontName } of all) {
          const there = frontOf(next, formation);
          expect(there.defenders.map((d) => d.id)).toEqual(front.defenders.map((d) => d.id));
          expect(CallSchema.safeParse({ ...A_CALL, front: next, frontName }).success).toBe(true);
          const spots = there.defenders.map((d) => `${d.x.toFixed(2)} ${d.y.toFixed(2)}`);
          expect(new Set(spots).size).toBe(spots.length);
        }
      }
  });

  it('stacks linebackers behind men of the line, each behind his own', () => {
    const stacked = pictureOf('linebackers stacked');
    expect(manIn(stacked, 'M').x).toBe(manIn(OVER, 'T').x);
    expect(manIn(stacked, 'W').x).toBe(manIn(OVER, 'LE').x);
    expect([manIn(stacked, 'M').y, manIn(stacked, 'W').y]).toEqual([manIn(OVER, 'M').y, manIn(OVER, 'W').y]);
  });

  it('walks two into the A gaps, at the line and standing', () => {
    const odd = frontOf('LE 5 left; N 0; RE 5 right; W 20 left; M 20 right');
    const walked = pictureOf('both A gaps walked up', odd);
    const [w, m] = [manIn(walked, 'W'), manIn(walked, 'M')];
    expect([w.x < 0, m.x > 0, w.x + m.x, levelOf(w), levelOf(m), w.stance]).toEqual([true, true, 0, 1, 1, 'up']);
  });

  it('brings the deep man down outside the last man of the line, and no corner', () => {
    const end = Math.max(...FORMATION.men.filter((m) => m.kind === 'tight').map((m) => m.x));
    const down = manIn(pictureOf('safety down on the right'), 'FS');
    expect(down.x).toBeGreaterThan(end);
    expect(levelOf(down)).toBe(2);
    const without = {
      ...OVER,
      defenders: OVER.defenders.map((d) => (d.id === 'FS' ? { ...d, mark: 'corner' as const } : d)),
    };
    expect(offered(without)).not.toContain('safety down on the right');
  });

  it('leaves out what changes nothing and what would put two on one spot', () => {
    const noBackers = frontOf('LE 5 left; N 0; RE 5 right');
    expect(offered(noBackers).filter((says) => says.includes('linebackers') || says.includes('A gaps'))).toEqual([]);
    // In one of the gaps stands a man already.
    expect(offered(OVER)).not.toContain('both A gaps walked up');
    const tight = frontOf('LE 5 left; A (-2, 2); B (-0.6, 2); RE 5 right; C (1.2, 2)');
    expect(offered(tight)).toContain('the men inside over to the left');
    const beside = frontOf('LE (-3.2, 2); N (-1.5, 2); RE 5 right');
    expect(offered(beside)).not.toContain('the men inside over to the left');
  });

  it('is the mirror image where everything is mirrored', () => {
    const turn = (says: string): string => says.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left'));
    const there = mirrorFormation(FORMATION);
    const mirrored = nextPictures(mirrorFront(OVER), 'x', there);
    for (const { says, front } of nextPictures(OVER, 'x', FORMATION)) {
      const other = mirrored.find((p) => p.says === turn(says));
      expect(other, says).toBeDefined();
      const [a, b] = [mirrorFront(frontOf(front)), frontOf(other!.front, there)];
      for (const d of a.defenders) {
        expect(manIn(b, d.id).x).toBeCloseTo(d.x, 6);
        expect(manIn(b, d.id).y).toBeCloseTo(d.y, 6);
      }
    }
  });
});
