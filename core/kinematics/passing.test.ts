import { describe, expect, it } from 'vitest';
import { SettingsSchema, SHIPPED_SETTINGS } from '../model/settings';
import { pocketOf } from './passing';

describe('where and when the ball is thrown', () => {
  it('drops from under centre, and is never nearer than he stands in the gun', () => {
    expect(pocketOf('quick', { quarterback: 'under' }, SHIPPED_SETTINGS)).toEqual({ spot: { x: 0, y: -9 }, time: 1.6 });
    expect(pocketOf('quick', { quarterback: 'gun' }, SHIPPED_SETTINGS).spot.y).toBe(-15);
    expect(pocketOf('quick', { quarterback: 'gun' }, SettingsSchema.parse({ gunDepth: 6 })).spot.y).toBe(-18);
    expect(pocketOf('seven-step', { quarterback: 'pistol' }, SettingsSchema.parse({ pistolDepth: 3 })).spot.y).toBe(
      -27,
    );
    expect(pocketOf('boot', { quarterback: 'under' }, SHIPPED_SETTINGS).spot.x).toBeGreaterThan(10);
  });
});
