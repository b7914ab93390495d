import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Sending, Told } from './sender';
import { useUploads } from './uploads';

/** What the sender was asked to do, file by file. */
interface Sent extends Sending {
  readonly name: string;
  readonly told: Told;
  readonly did: string[];
}
let sent: Sent[] = [];
let kept: string[] = [];
vi.mock('./sender', () => ({
  startSending: (file: File, _said: unknown, told: Told): Sending => {
    const did: string[] = [];
    const one = {
      name: file.name,
      told,
      did,
      pause: () => void did.push('pause'),
      goOn: () => void did.push('go on'),
      drop: () => void did.push('drop'),
    };
    sent.push(one);
    return one;
  },
  unfinishedNames: async (owner: string) => (owner === OWNER ? kept : ['somebody else’s']),
}));

/** Nobody is logged in here. */
const OWNER = 'undefined-undefined';
const SAID = { kind: 'own game', game: 1, keepSound: false } as const;
const clip = (name: string): File => new File(['film'], name);
beforeEach(() => {
  setActivePinia(createPinia());
  sent = [];
  kept = [];
});

describe('files on their way', () => {
  it('go two at a time, in the order they were chosen', () => {
    const uploads = useUploads();
    uploads.add(['a', 'b', 'c'].map(clip), SAID);
    expect(sent.map((s) => s.name)).toEqual(['a', 'b']);
    sent[1]!.told.done();
    expect(sent.map((s) => s.name)).toEqual(['a', 'b', 'c']);
    expect(uploads.items.map((i) => i.name)).toEqual(['a', 'c']);
    expect([uploads.arrived, uploads.busy]).toEqual([1, true]);
  });

  it('wait while they are paused, and let the next one go', () => {
    const uploads = useUploads();
    uploads.add(['a', 'b', 'c'].map(clip), SAID);
    uploads.pause(uploads.items[0]!.key);
    expect(sent[0]!.did).toEqual(['pause']);
    expect(sent.map((s) => s.name)).toEqual(['a', 'b', 'c']);
    uploads.goOn(uploads.items[0]!.key);
    expect(uploads.items[0]!.state).toBe('queued');
    sent[1]!.told.done();
    expect(sent[0]!.did).toEqual(['pause', 'go on']);
  });

  it('that fail say why, hold nobody up, and can be tried again', () => {
    const uploads = useUploads();
    uploads.add(['a', 'b', 'c'].map(clip), SAID);
    sent[0]!.told.failed('The disk is full.');
    expect(uploads.items[0]).toMatchObject({ state: 'failed', problem: 'The disk is full.' });
    expect(sent).toHaveLength(3);
    sent[1]!.told.done();
    uploads.goOn(uploads.items[0]!.key);
    expect(uploads.items[0]).toMatchObject({ state: 'sending', problem: '' });
  });

  it('can be given up at any time; what is told of them afterwards changes nothing', () => {
    const uploads = useUploads();
    uploads.add(['a', 'b'].map(clip), SAID);
    uploads.drop(uploads.items[0]!.key);
    expect(sent[0]!.did).toEqual(['drop']);
    sent[0]!.told.sent(3);
    sent[0]!.told.failed('late');
    expect(uploads.items.map((i) => [i.name, i.problem])).toEqual([['b', '']]);
  });

  it('are never more than two at once, and every one arrives in the end', () => {
    const what = fc.constantFrom('done', 'fail', 'pause', 'go on', 'drop', 'add');
    fc.assert(
      fc.property(fc.array(fc.tuple(what, fc.nat(20)), { maxLength: 60 }), (steps) => {
        setActivePinia(createPinia());
        sent = [];
        const uploads = useUploads();
        let added = 0;
        let dropped = 0;
        const told = (name: string): Told => sent.findLast((s) => s.name === name)!.told;
        for (const [step, n] of steps) {
          const item = uploads.items[n % Math.max(1, uploads.items.length)];
          if (step === 'add') uploads.add([clip(`clip ${added++}`)], SAID);
          else if (!item) continue;
          else if (step === 'drop') {
            uploads.drop(item.key);
            dropped++;
          } else if (step === 'pause' && item.state === 'sending') uploads.pause(item.key);
          else if (step === 'go on' && (item.state === 'paused' || item.state === 'failed')) uploads.goOn(item.key);
          else if (step === 'done' && item.state === 'sending') told(item.name).done();
          else if (step === 'fail' && item.state === 'sending') told(item.name).failed('no');
          expect(uploads.items.filter((i) => i.state === 'sending').length).toBeLessThanOrEqual(2);
        }
        for (let rounds = 0; uploads.items.length > 0; rounds++) {
          expect(rounds).toBeLessThan(200);
          for (const { key, state } of [...uploads.items])
            if (state === 'paused' || state === 'failed') uploads.goOn(key);
          for (const { name, state } of [...uploads.items]) if (state === 'sending') told(name).done();
        }
        expect(uploads.arrived + dropped).toBe(added);
      }),
    );
  });

  it('that were begun some time ago are named until the same file is chosen again', async () => {
    kept = ['old.mp4', 'older.mp4'];
    const uploads = useUploads();
    await uploads.lookForUnfinished();
    expect(uploads.unfinished).toEqual(['old.mp4', 'older.mp4']);
    uploads.add([clip('old.mp4')], SAID);
    expect(uploads.unfinished).toEqual(['older.mp4']);
    await uploads.lookForUnfinished();
    expect(uploads.unfinished).toEqual(['older.mp4']);
  });
});
