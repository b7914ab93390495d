import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick, ref } from 'vue';
import { workCall } from '#core/calls/resolve-call';
import { askedPlaces } from '#core/film/follow/asked';
import type { SnapView } from '#core/model/snap-view';
import { NOTHING_MEASURED, type KeptTrack, type Team } from '#core/model/measured';
import { A_CALL } from '#core/testing/a-call';
import { need } from '#core/testing/need';
import { useReplays } from './replays';
import { useMeasure } from './store';

const RATE = 30;
const worked = need(workCall(A_CALL));
const asked = askedPlaces(worked, { x: 0, y: 0 }, 0);
const MEN: readonly (readonly [string, Team])[] = [
  ...worked.formation.men.map((m) => [m.id, 'offence'] as const),
  ['QB', 'offence'],
  ...worked.front.defenders.map((d) => [d.id, 'defence'] as const),
];
/** Everybody does what was asked; RG goes nowhere, and his man where the ball is to cross. */
const placeOf = (id: string, team: Team, seconds: number): { x: number; y: number } => {
  const at = asked(id, team, id === 'RG' ? 0 : seconds)!;
  return id === 'T' ? { x: at.x, y: at.y - 3 * Math.min(1, seconds) } : at;
};
const tracks = (only: (id: string) => boolean): KeptTrack[] =>
  MEN.filter(([id]) => only(id)).map(([id, team]) => ({
    id,
    team,
    places: Array.from({ length: 3 * RATE }, (_, f): [number, number, number, number] => {
      const { x, y } = placeOf(id, team, f / RATE);
      return [x, y, 0.2, 1];
    }),
  }));

type Hand = { id: string; team: Team } | null;
function followed(only: (id: string) => boolean = () => true) {
  const store = useMeasure();
  store.snap = { id: 1, call: A_CALL, resolution: worked.resolution, clips: [] } as unknown as SnapView;
  store.measuring = {
    ...NOTHING_MEASURED,
    followed: { framesPerSecond: RATE, start: 0, carried: [], tracks: tracks(only) },
  };
  const inHand = ref<Hand>(null);
  return { store, inHand, ...useReplays(inHand) };
}
beforeEach(() => setActivePinia(createPinia()));

describe('a followed play run again', () => {
  it('is told as it was first and with everybody’s job last', () => {
    const { lines } = followed();
    const names = lines.value.map((l) => l.name);
    expect([names[0], names.at(-1)]).toEqual(['As filmed', 'All as asked']);
    for (const { says } of lines.value) expect(says).toMatch(/\.$/);
  });

  it('is told for the man in hand too, whatever his block would have changed, and for no man without one', async () => {
    const { lines, inHand } = followed();
    inHand.value = { id: 'LT', team: 'offence' };
    await nextTick();
    expect(lines.value.filter((l) => l.name === 'LT as asked')).toHaveLength(1);
    inHand.value = { id: 'T', team: 'defence' };
    await nextTick();
    expect(lines.value.map((l) => l.name)).not.toContain('T as asked');
  });

  it('draws the men who would have gone another way, and nobody for the play as it was', async () => {
    const { lines, chosen, drawn, inHand } = followed();
    expect(drawn.value).toEqual([]);
    inHand.value = { id: 'RG', team: 'offence' };
    await nextTick();
    chosen.value = lines.value.find((l) => l.name === 'RG as asked')!.key;
    expect(drawn.value.map((t) => t.id)).toContain('RG');
    expect(drawn.value.map((t) => t.id)).not.toContain('LT');
    inHand.value = null;
    await nextTick();
    // His block would have changed nothing, or it stands there by itself: what is drawn is always among what is told.
    expect(lines.value.map((l) => l.key)).toContain(chosen.value);
  });

  it('is told of nothing that was not followed', () => {
    expect(followed((id) => id !== 'QB').lines.value).toEqual([]);
    const store = useMeasure();
    store.measuring = NOTHING_MEASURED;
    expect(useReplays(ref<Hand>(null)).lines.value).toEqual([]);
  });
});
