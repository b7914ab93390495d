import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { serve, type FakeServer } from '~/testing/fake-server';
import { usePlaybook } from '~/features/playbook/store';
import { useFormations } from './store';

let server: FakeServer;
beforeEach(() => {
  setActivePinia(createPinia());
  server = serve();
});

describe('a formation being drawn', () => {
  it('is one text: a man moved on the board changes the notation, and undo brings both back', () => {
    const f = useFormations();
    f.open('wing');
    const was = f.text;
    f.nudge('Z', 0.5, 0);
    expect(f.text).toMatch(/Z \([\d.]+, -3\)/);
    f.nudge('RG', 0.5, 0);
    expect(f.text).toContain('split RG 30in');
    f.undo();
    f.undo();
    expect([f.text, f.dirty]).toEqual([was, false]);
    f.undo();
    expect(f.text).toBe(was);
  });

  it('keeps what is typed and the board as it was while the text cannot be read', () => {
    const f = useFormations();
    f.open('wing');
    const drawn = f.formation;
    f.type('LT LG C RG\nZ wing');
    expect(f.text).toBe('LT LG C RG\nZ wing');
    expect(f.formation).toBe(drawn);
    expect(f.diagnostics.length).toBeGreaterThan(0);
    f.nudge('Z', 1, 0);
    expect(f.text).toBe('LT LG C RG\nZ wing');
  });

  it('turns around and back', () => {
    const f = useFormations();
    f.open('wing');
    const was = f.formation!.men.map((m) => [m.id, m.x]);
    f.mirror();
    f.mirror();
    expect(f.formation!.men.map((m) => [m.id, m.x])).toEqual(was);
  });

  it('forgets the man in hand when he is no longer in the text', () => {
    const f = useFormations();
    f.open('wing');
    f.selected = 'Z';
    f.type('LT LG C RG RT');
    expect([f.selected, f.man]).toEqual([null, null]);
  });
});

describe('keeping it', () => {
  it('is added to the book under its short name and offered at once', async () => {
    const f = useFormations();
    f.open('wing');
    f.nudge('Z', 1, 0);
    expect(await f.save('wide-wing', 'Wide "wing"')).toBe(true);
    expect(server.kept('formations', 'wide-wing')).toMatch(/^formation wide-wing "Wide wing"\nLT LG C RG RT Y right\n/);
    expect([f.id, f.dirty, f.notice]).toEqual(['wide-wing', false, 'Saved as "Wide "wing"".']);
    expect(usePlaybook().formations.map((x) => x.id)).toContain('wide-wing');
  });

  it('saved again it becomes the next version, not a second formation', async () => {
    const f = useFormations();
    f.open('wing');
    await f.save('ours', 'Ours');
    f.nudge('Z', 1, 0);
    await f.save('ours', 'Ours');
    expect(server.count('formations')).toBe(1);
    expect(server.kept('formations', 'ours')).toContain('Z (');
  });

  it('loses nothing when the server cannot be reached, and says so', async () => {
    const f = useFormations();
    f.open('wing');
    f.nudge('Z', 1, 0);
    const typed = f.text;
    server.down();
    expect(await f.save('ours', 'Ours')).toBe(false);
    expect(f.problem).toBe('The server cannot be reached. Your formation is still here.');
    expect([f.text, f.id, f.dirty]).toEqual([typed, 'wing', true]);
    server.up();
    expect(await f.save('ours', 'Ours')).toBe(true);
    expect(f.problem).toBe('');
  });

  it('says what the server refuses, in its words', async () => {
    const f = useFormations();
    f.open('wing');
    server.refuse(409, 'Somebody else has saved it in the meantime.');
    expect(await f.save('ours', 'Ours')).toBe(false);
    expect(f.problem).toBe('Somebody else has saved it in the meantime.');
  });

  it('on a slow server keeps what is typed meanwhile on the screen until the answer, and then shows what was kept', async () => {
    const f = useFormations();
    f.open('wing');
    server.slow();
    const saving = f.save('ours', 'Ours');
    expect(f.notice).toBe('');
    server.answer();
    expect(await saving).toBe(true);
    expect(f.notice).toBe('Saved as "Ours".');
  });

  it('retired it is gone from the shelf and the first formation stands there', async () => {
    const f = useFormations();
    f.open('wing');
    await f.save('ours', 'Ours');
    await f.retire();
    expect(f.id).toBe('five-man');
    expect(usePlaybook().formations.map((x) => x.id)).not.toContain('ours');
  });
});
