import { describe, expect, it } from 'vitest';
import { lostFrames, meetingsOf } from './events';
import type { Track } from './follow';

const RATE = 30;
/** A track that is seen all the time, by where a man is so many seconds in. */
const track = (id: string, team: Track['team'], way: (t: number) => [number, number], seen = 1): Track => ({
  id,
  team,
  places: Array.from({ length: 60 }, (_, f) => {
    const [x, y] = way(f / RATE);
    return { x, y, z: 3, error: 0.1, seen };
  }),
});
/** Comes four feet in 0.4 s and stands. */
const coming = (t: number): [number, number] => [0, Math.max(0, 4 - 10 * t)];
const still = (): [number, number] => [0, -1.7];

describe('meetings', () => {
  it('begin when two men come no nearer and last until they part', () => {
    const [meeting, ...others] = meetingsOf(
      [track('RG', 'offence', (t) => (t < 1.2 ? still() : [6 * (t - 1.2), -1.7])), track('T', 'defence', coming)],
      RATE,
    );
    expect(others).toEqual([]);
    expect(meeting).toMatchObject({ blocker: 'RG', defender: 'T' });
    expect(Math.abs(meeting!.from - 12)).toBeLessThanOrEqual(2);
    expect(Math.abs(meeting!.to! - 36)).toBeLessThanOrEqual(2);
    expect(meeting!.sure).toBe(1);
  });
  it('begin where the man who is well known stops, whatever is believed of the other one', () => {
    const [soon, late] = [0.4, 0.57];
    const blocker = track('RG', 'offence', (t) => [0, -3.9 + 6 * Math.min(t, soon)]);
    const defender = track('T', 'defence', (t) => [0, 3.2 - 6 * Math.min(t, late)]);
    const unknown = (of: Track): Track => ({ ...of, places: of.places.map((p) => ({ ...p, error: 1 })) });
    const [byBlocker] = meetingsOf([blocker, unknown(defender)], RATE);
    expect(Math.abs(byBlocker!.from - soon * RATE)).toBeLessThanOrEqual(1);
    const [byDefender] = meetingsOf([unknown(blocker), defender], RATE);
    expect(Math.abs(byDefender!.from - late * RATE)).toBeLessThanOrEqual(1);
  });
  it('end where he begins to leave, though he goes around him and is no farther away at first', () => {
    const around = (t: number): [number, number] => {
      const since = Math.max(0, t - 1) ** 2;
      return [6 * since, -1.7 + 3 * since];
    };
    const [meeting] = meetingsOf([track('RG', 'offence', around), track('T', 'defence', coming)], RATE);
    // By the distance alone he would be there for half a second more.
    expect(Math.abs(meeting!.to! - RATE)).toBeLessThanOrEqual(3);
  });
  it('last while two men go the same way together, however far', () => {
    const driven = (behind: number) => (t: number) =>
      [0, behind + (t < 0.4 ? (behind < 0 ? 0 : 4 - 10 * t) : 4 * (t - 0.4))] as [number, number];
    const [meeting] = meetingsOf([track('RG', 'offence', driven(-1.7)), track('T', 'defence', driven(0))], RATE);
    expect(meeting!.to).toBeNull();
  });
  it('of the same two are two where they part between, one after the other', () => {
    const bounces = (t: number): [number, number] => [
      0,
      t < 0.9 ? coming(t)[1] : Math.max(0, 1.6 - 16 * Math.abs(t - 1.2)),
    ];
    const met = meetingsOf([track('RG', 'offence', still), track('T', 'defence', bounces)], RATE);
    expect(met.length).toBeGreaterThan(1);
    met.slice(1).forEach((m, i) => expect(m.from).toBeGreaterThan(met[i]!.to!));
  });
  it('have no end while they last', () => {
    const [meeting] = meetingsOf([track('RG', 'offence', still), track('T', 'defence', coming)], RATE);
    expect(meeting!.to).toBeNull();
    expect(meeting!.nearest).toBeCloseTo(1.7, 1);
  });
  it('are none of men who stand near each other and do not move, or only run by', () => {
    const beside = track('N', 'defence', () => [0, 0.2]);
    expect(meetingsOf([track('C', 'offence', still), beside], RATE)).toEqual([]);
    const by = track('M', 'defence', (t) => [-15 + 30 * t, 0]);
    expect(meetingsOf([track('C', 'offence', still), by], RATE)).toEqual([]);
  });
  it('are never between men of one side', () => {
    expect(meetingsOf([track('RG', 'offence', still), track('RT', 'offence', coming)], RATE)).toEqual([]);
  });
  it('are not sure where one of the two was not seen', () => {
    for (const [blocker, defender] of [
      [0.1, 1],
      [1, 0.1],
    ]) {
      const men = [track('RG', 'offence', still, blocker), track('T', 'defence', coming, defender)];
      expect(meetingsOf(men, RATE)[0]!.sure).toBe(0);
    }
  });
  it('have an end that is not sure where one of the two was not seen then', () => {
    const leaves = track('RG', 'offence', (t) => (t < 1.2 ? still() : [6 * (t - 1.2), -1.7]));
    const hidden = { ...leaves, places: leaves.places.map((p, f) => (f >= 24 ? { ...p, seen: 0 } : p)) };
    const [seen] = meetingsOf([leaves, track('T', 'defence', coming)], RATE);
    expect(seen).toMatchObject({ sure: 1, sureTo: 1 });
    const [unseen] = meetingsOf([track('T', 'defence', coming), hidden], RATE);
    expect(unseen).toMatchObject({ sure: 1, sureTo: 0 });
  });
  it('are believed of a man who is hardly seen, though he is called lost', () => {
    const hardly = track('RG', 'offence', still, 0.4);
    expect(lostFrames(hardly).every(Boolean)).toBe(true);
    const [meeting] = meetingsOf([hardly, track('T', 'defence', coming)], RATE);
    expect(meeting!.sure).toBe(1);
  });
});

describe('a lost man', () => {
  it('is one not seen for a while, or not known well enough; a blink is neither', () => {
    const seen = track('C', 'offence', still);
    const blink = { ...seen, places: seen.places.map((p, f) => (f === 30 ? { ...p, seen: 0 } : p)) };
    expect(lostFrames(blink).some(Boolean)).toBe(false);
    const gone = { ...seen, places: seen.places.map((p, f) => (f >= 30 ? { ...p, seen: 0 } : p)) };
    expect(lostFrames(gone).indexOf(true)).toBeGreaterThan(25);
    expect(lostFrames(gone).slice(40).every(Boolean)).toBe(true);
    const unsure = { ...seen, places: seen.places.map((p) => ({ ...p, error: 2 })) };
    expect(lostFrames(unsure).every(Boolean)).toBe(true);
  });
});
