import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { serve, type FakeServer } from '~/testing/fake-server';
import { usePlaybook } from '~/features/playbook/store';
import { useFronts } from './store';

let server: FakeServer;
beforeEach(() => {
  setActivePinia(createPinia());
  server = serve();
});

describe('a front being drawn', () => {
  it('is kept with its opponent, and the opponent can be changed', async () => {
    const fronts = useFronts();
    fronts.open('over');
    fronts.nudge('RE', 1, 0);
    await fronts.save('millers-wide', 'Millers wide', 'Graymoor Millers');
    expect(usePlaybook().own('fronts', 'millers-wide')?.opponent).toBe('Graymoor Millers');
    await fronts.save('millers-wide', 'Millers wide', 'Fennick Otters');
    expect(usePlaybook().own('fronts', 'millers-wide')?.opponent).toBe('Fennick Otters');
    expect(server.count('fronts')).toBe(1);
  });

  it('a man stands up, is marked and unmarked; undo takes each back', () => {
    const fronts = useFronts();
    fronts.open('over');
    const was = fronts.front!.defenders;
    fronts.selected = 'RE';
    fronts.toggleStance();
    expect(fronts.text).toMatch(/RE .*up/);
    fronts.mark('conflict');
    expect(fronts.man!.mark).toBe('conflict');
    fronts.mark('conflict');
    expect(fronts.man!.mark).toBeNull();
    fronts.undo();
    fronts.undo();
    fronts.undo();
    expect(fronts.front!.defenders).toEqual(was);
  });
});
