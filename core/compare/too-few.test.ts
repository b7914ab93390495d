import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { mirrorText } from '../language/lineups/print-lineup';
import { shippedScheme } from '../calls/resolve-call';
import { workPlay } from '../movement/play';
import { prepareCall, type Call } from '../resolve/prepare/prepare-call';
import { need } from '../testing/need';
import { ANSWERS, tooFew, type TooFew, type TooFewAnswer } from './too-few';

const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right';
const ask = (id: string, formationText: string, frontText: string, call: Partial<Call> = {}): TooFew | null =>
  tooFew({
    scheme: need(shippedScheme(id)),
    formationText,
    front: need(readFront(frontText, need(readFormation(formationText)))),
    call: { side: 'right', ...call },
  });
const answer = (found: TooFew | null, kind: TooFewAnswer['kind']): TooFewAnswer | undefined =>
  found?.answers.find((a) => a.kind === kind);
const BACKSIDE = `${ODD}; J (-14, 10)`;
const FORCE = `${ODD}; S (14, 10)`;

describe('one more than we have', () => {
  it('is nobody when a good run is gained before anybody free is there', () => {
    expect(ask('inside-zone-z1', 'LT LG C RG RT; B', ODD)).toBeNull();
  });

  it('is nobody in a protection, which counts hot men instead', () => {
    expect(ask('pro-five-back', 'LT LG C RG RT; B', BACKSIDE)).toBeNull();
  });

  it('can be left when he is held, for as long as it takes', () => {
    const found = ask('inside-zone-z1', 'LT LG C RG RT; B', BACKSIDE)!;
    expect(found.who).toBe('J');
    expect(answer(found, 'leave')!.costs).toBe('a fake or a man in motion has to hold him for 0.8 s');
  });

  it('need not be held so long the farther away he stands', () => {
    const held = (x: number): number =>
      Number(
        /(\d\.\d) s$/.exec(
          answer(ask('inside-zone-z1', 'LT LG C RG RT; B', `${ODD}; J (${x}, 10)`), 'leave')!.costs,
        )![1],
      );
    expect(held(-12)).toBeGreaterThan(held(-17));
  });

  it('is run at only from the other side', () => {
    expect(answer(ask('inside-zone-z1', 'LT LG C RG RT; B', FORCE), 'run at')).toBeUndefined();
  });

  it('is thrown at where a receiver stands whom he leaves', () => {
    const wide = 'LT LG C RG RT; H slot right; B';
    expect(answer(ask('inside-zone-z1', 'LT LG C RG RT; B', FORCE), 'throw at')).toBeUndefined();
    expect(answer(ask('inside-zone-z1', wide, FORCE), 'throw at')).toMatchObject({
      says: 'throw to H, whom S leaves when he comes',
      change: null,
    });
    // Over the slot he has his hands full; from inside the tackles he leaves nobody.
    const over = need(readFormation(wide)).men.find((m) => m.id === 'H')!.x;
    expect(ask('inside-zone-z1', wide, `${ODD}; S (${over}, 10)`)).toBeNull();
    const inside = ask('buck-sweep', 'LT LG C RG RT; X wide left; B', FORCE)!;
    expect([inside.who, answer(inside, 'throw at')]).toEqual(['W', undefined]);
  });

  it('is met by bringing, moving or shifting a man, each said with what it costs and tried', () => {
    expect(answer(ask('duo', 'LT LG C RG RT; B', FORCE), 'bring')).toEqual({
      kind: 'bring',
      says: 'bring a tight end, right',
      costs: 'a receiver less, and they bring a man too; then sound',
      change: { kind: 'lineup', text: 'LT LG C RG RT; B; Y right', says: 'bring a tight end, right' },
    });
    expect(answer(ask('duo', 'LT LG C RG RT Y left; B', FORCE), 'shift')!.change).toMatchObject({
      text: 'LT LG C RG RT Y right; B',
    });
    const two = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S (14, 10)';
    expect(answer(ask('buck-sweep', 'LT LG C RG RT Y left; Z wing left; F B', two), 'move')!.change).toMatchObject({
      text: 'LT LG C RG RT Y left; Z wing right; F B',
    });
  });

  it('is read or left by a tag that was taken off or is not called yet', () => {
    const end = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
    const found = ask('inside-zone-z1', 'LT LG C RG RT; B', end, { without: ['read'] })!;
    expect(found.who).toBe('W');
    expect(answer(found, 'read')).toMatchObject({
      says: 'read LE: call read',
      change: { kind: 'tag', tag: 'read', on: true },
    });
    const conflict = ask('inside-zone-z1', 'LT LG C RG RT; B', FORCE)!.answers.filter((a) => a.change?.kind === 'tag');
    expect(conflict.map((a) => a.says)).toEqual(['leave S by call: conflict']);
  });

  it('is not held when he stands in the hole', () => {
    const hole = ask('iso', 'LT LG C RG RT; B', 'LE 5 left; N 1 left; T 3 right; RE 5 right; X (2, 1); Q (6, 1)');
    expect(hole!.who).toBe('Q');
    expect(hole!.answers.map((a) => a.says)).not.toContain('leave Q, and hold him');
  });

  it('has answers in the order of what they cost, and what is changed really has him', () => {
    for (const id of ['inside-zone-z1', 'inside-zone-z4', 'power', 'duo', 'outside-zone', 'long-trap']) {
      for (const front of [BACKSIDE, FORCE, `${FORCE}; J (-14, 10)`]) {
        const text = 'LT LG C RG RT Y left; H left; B';
        const found = ask(id, text, front);
        if (!found) continue;
        const order = found.answers.map((a) => ANSWERS.indexOf(a.kind));
        expect([...order].sort((a, b) => a - b)).toEqual(order);
        expect(found.answers[0]!.kind).toBe('leave');
        for (const { change, costs } of found.answers) {
          if (change === null) continue;
          const formation = need(readFormation(change.kind === 'lineup' ? change.text : text));
          const call: Call = {
            side: change.kind === 'side' ? change.side : 'right',
            tags: change.kind === 'tag' ? [change.tag] : [],
          };
          const prepared = prepareCall(need(shippedScheme(id)), formation, call);
          const { outcome, judgement } = workPlay(prepared, need(readFront(front, need(readFormation(text)))));
          const { defenders } = outcome.settled.scene;
          expect(outcome.defenders[defenders.findIndex((d) => d.id === found.who)]!.status).not.toBe('free');
          expect(costs.endsWith(`then ${judgement.verdict}`)).toBe(true);
        }
      }
    }
  });

  it('is the same man in the mirror, with the same answers', () => {
    const text = 'LT LG C RG RT Y left; H left; B';
    for (const front of [BACKSIDE, FORCE]) {
      const one = ask('inside-zone-z4', text, front);
      const other = ask('inside-zone-z4', mirrorText(text), mirrorText(front), { side: 'left' });
      expect(other?.who).toBe(one?.who);
      expect(other?.answers.map((a) => a.kind)).toEqual(one?.answers.map((a) => a.kind));
    }
  });
});
