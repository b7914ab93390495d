import { expect, it } from 'vitest';
import { saySeen } from './say-seen';

it('says on how many snaps a front was seen, and in which weeks', () => {
  expect(saySeen({ snaps: 7, weeks: [2, 5] })).toBe('7 snaps, week 2, 5');
  expect(saySeen({ snaps: 1, weeks: [5] })).toBe('1 snap, week 5');
});
