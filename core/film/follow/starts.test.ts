import { describe, expect, it } from 'vitest';
import { workCall } from '../../calls/resolve-call';
import { A_CALL } from '../../testing/a-call';
import { runPlay } from '../../movement/run/run';
import type { MeasuredMan } from '../alignment/places';
import { askedPlaces } from './asked';
import { startsOf } from './starts';

const worked = workCall({ ...A_CALL, front: `${A_CALL.front}; S 9 right up` });
if (!worked.ok) throw new Error('the call is broken');
const call = worked.value;
const BALL = { x: -5, y: 99 };
const man = (id: string, team: MeasuredMan['team'], x: number, y: number): MeasuredMan => ({
  id,
  team,
  x,
  y,
  spread: { xx: 0.01, xy: 0, yy: 0.01 },
  angles: ['end zone'],
});

describe('who is followed', () => {
  it('starts on the field, with a hand down or standing as the call has him', () => {
    const starts = startsOf(
      [
        man('RG', 'offence', 4, -1),
        man('B', 'offence', -4, -15),
        man('T', 'defence', 5, 2),
        man('S', 'defence', 11, 2),
        man('Z', 'defence', 0, 12),
      ],
      call,
      BALL,
    );
    expect(starts[0]).toEqual({ id: 'RG', team: 'offence', x: -1, y: 98, stance: 'down' });
    expect(starts.map((s) => s.stance)).toEqual(['down', 'up', 'down', 'up', 'up']);
  });
});

describe('what was asked, in time', () => {
  it('is the run of the play, counted from the first frame and from where the ball lies', () => {
    const run = runPlay(call.formation, call.front, call.resolution, { seconds: 2 });
    const at = (id: string, seconds: number) => {
      const i = run.men.findIndex((m) => m.id === id);
      const frame = run.frames[Math.round(seconds / run.step)]!;
      return { x: frame[2 * i]! + BALL.x, y: frame[2 * i + 1]! + BALL.y };
    };
    const asked = askedPlaces(call, BALL, -0.1);
    expect(asked('LG', 'offence', 0.1)).toEqual(at('LG', 0));
    expect(asked('LG', 'offence', 1.1)).toEqual(at('LG', 1));
    expect(asked('LG', 'offence', 0)).toEqual(at('LG', 0));
    expect(asked('LG', 'defence', 1)).toBeNull();
    expect(asked('nobody', 'offence', 1)).toBeNull();
  });
});
