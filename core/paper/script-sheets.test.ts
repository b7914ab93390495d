import { describe, expect, it } from 'vitest';
import type { TheirMan } from '../model/week-plan';
import { NOTHING_PRACTISED } from '../plan/reps-so-far';
import { makeScript } from '../practice/script/make-script';
import { PAPER, partsOf, PLAN, WAYS, WORKED } from '../testing/a-week-paper';
import { boardSvg } from './board-svg';
import { coachScript, playersScript, scoutCards } from './script-sheets';

describe('a script on paper', () => {
  const script = makeScript({
    ...{ id: 'one', kind: 'inside run', reps: 5, plan: PLAN, standings: [], ways: WAYS },
    sayPlay: String,
    practised: NOTHING_PRACTISED,
    order: [],
  })!;
  const words = { sayPlay: PAPER.sayPlay, stamp: 'x' };

  it('has the answers on the coach’s copy and nothing but the play on the players’', () => {
    const [coach] = partsOf(coachScript(script, WAYS, words), 'table');
    const [players] = partsOf(playersScript(script, words), 'table');
    expect([coach!.rows.length, players!.rows.length]).toEqual([5, 5]);
    expect(coach!.rows.every((r) => /RG \w+/.test(r[4] as string))).toBe(true);
    expect(players!.rows.flatMap((r) => r.slice(2))).toEqual(Array.from({ length: 10 }, () => ''));
  });

  it('has a card a rep for the scout team, from its own side, without what we do', () => {
    const cards = scoutCards(script, WAYS, words);
    expect(partsOf(cards, 'picture')).toHaveLength(5);
    const { formation, front } = WORKED;
    const rep = script.reps.findIndex((r) => r.scheme === 'power' && r.frontName === 'Over');
    expect(rep).toBeGreaterThanOrEqual(0);
    expect(partsOf(cards, 'picture')[rep]!.svg.split('<path').length).toBe(
      boardSvg({ formation, front, fromTheirs: true, cones: script.reps[rep]!.cones }).split('<path').length,
    );
  });

  it('has their numbers on the scout team’s cards, of those that are known', () => {
    const numbersOn = (theirs?: TheirMan[]): string[] =>
      partsOf(scoutCards(script, WAYS, words, { theirs }), 'picture').flatMap(
        (p) => p.svg.match(/#\d{1,2}(?=<)/g) ?? [],
      );
    expect(numbersOn()).toEqual([]);
    const known = numbersOn([
      { id: 'M', number: 7, note: '' },
      { id: 'LE', number: null, note: 'wide' },
    ]);
    expect([new Set(known), known.length]).toEqual([
      new Set(['#7']),
      script.reps.filter((r) => r.bodies.includes('M')).length,
    ]);
  });
});
