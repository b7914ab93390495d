import fc from 'fast-check';
import { nextTick, shallowRef } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DRAWN, DRAWN_KINDS, FilmNoteSchema, type KeptNote } from '#core/model/film-note';
import type { SnapView } from '#core/model/snap-view';
import { WRITING_HANDS } from './keys';
import { useWriting } from './writing';

const clip: SnapView['clips'][number] = {
  id: 5,
  angle: 'end zone',
  framesPerSecond: 30,
  frames: 90,
  snapFrame: 24,
  contactFrame: 36,
  whistleFrame: 80,
};
const NOTE: KeptNote = {
  id: 1,
  clipId: 5,
  frame: 20,
  until: 40,
  text: 'Here',
  shapes: [{ kind: 'spot', at: [{ x: 0.5, y: 0.5 }] }],
  players: false,
  by: 'Maren Quill',
  revision: 2,
};
let asked: { url: string; method: string; body: Record<string, unknown> }[];
let reachable: boolean;
let held: (() => void)[] | null;
beforeEach(() => {
  [asked, reachable, held] = [[], true, null];
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string; body: Record<string, unknown> }) => {
    asked.push({ url, method, body });
    if (held) await new Promise<void>((go) => held!.push(go));
    if (!reachable) throw new Error('refused');
    if (method === 'DELETE') return { removed: true };
    const note = (body.note ?? body) as object;
    return { ...note, id: Number(/notes\/(\d+)/.exec(url)?.[1] ?? 7), clipId: 5, by: 'Maren Quill', revision: 3 };
  });
});
afterEach(() => vi.unstubAllGlobals());

function set(notes: KeptNote[] = []) {
  const snap = shallowRef<{ id: number; notes: KeptNote[] }>({ id: 3, notes });
  const writing = useWriting(snap, (_of, next) => {
    snap.value = { ...snap.value, notes: next };
  });
  return { snap, writing };
}

describe('writing on film', () => {
  it('begins on a frame and shows for a second, but not beyond the film', () => {
    const { writing } = set();
    writing.begin(clip, 10);
    expect(writing.inHand.value!.note).toMatchObject({ frame: 10, until: 40 });
    writing.begin(clip, 80);
    expect(writing.inHand.value!.note).toMatchObject({ frame: 80, until: 89 });
  });

  it('makes only notes that can be kept, whatever is clicked', () => {
    const step = fc.oneof(
      fc.record({ take: fc.constantFrom(...DRAWN_KINDS) }),
      fc.record({ x: fc.double({ min: -1, max: 2, noNaN: true }), y: fc.double({ min: -1, max: 2, noNaN: true }) }),
      fc.constant('back' as const),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const { writing } = set();
        writing.begin(clip, 10);
        for (const s of steps) {
          if (s === 'back') writing.takeBack();
          else if ('take' in s) writing.take(s.take);
          else writing.place(s);
        }
        const { note } = writing.inHand.value!;
        expect(writing.isEmpty.value).toBe(note.shapes.length === 0);
        if (!writing.isEmpty.value) expect(FilmNoteSchema.safeParse(note).success).toBe(true);
        expect(writing.places.value.length).toBeLessThan(DRAWN[writing.tool.value]);
      }),
    );
  });

  it('draws with the keys what is drawn with a mouse', () => {
    const { writing } = set();
    const more = { step: vi.fn(), words: vi.fn() };
    const press = (key: string, far = false) => WRITING_HANDS.find((h) => h.key === key)!.does(writing, far, more);
    writing.begin(clip, 10);
    press('2');
    press('Enter');
    press('ArrowRight', true);
    press('ArrowDown');
    press('Enter');
    const [shape] = writing.inHand.value!.note.shapes;
    expect(shape).toEqual({
      kind: 'line',
      at: [
        { x: 0.5, y: 0.5 },
        { x: 0.54, y: expect.closeTo(0.504) },
      ],
    });
    press('.');
    press('w');
    expect([more.step.mock.calls, more.words.mock.calls.length]).toEqual([[[1]], 1]);
    press('Backspace');
    expect(writing.isEmpty.value).toBe(true);
    press('Escape');
    expect(writing.writing.value).toBe(false);
    expect(new Set(WRITING_HANDS.map((h) => h.key)).size).toBe(WRITING_HANDS.length);
  });

  it('keeps a new note with its clip, and a changed one on its revision', async () => {
    const { writing, snap } = set([NOTE]);
    writing.begin(clip, 10);
    writing.put({ text: 'Low' });
    await writing.keep();
    expect(asked[0]).toMatchObject({ url: '/api/clips/5/notes', method: 'POST', body: { text: 'Low', frame: 10 } });
    expect(snap.value.notes.map((n) => n.id)).toEqual([1, 7]);
    expect(writing.writing.value).toBe(false);
    writing.edit(clip, NOTE);
    writing.put({ text: 'Lower' });
    await writing.keep();
    expect(asked[1]).toMatchObject({ url: '/api/notes/1', method: 'PUT', body: { revision: 2 } });
    expect(snap.value.notes.find((n) => n.id === 1)!.text).toBe('Lower');
    await writing.remove(NOTE);
    expect(snap.value.notes.map((n) => n.id)).toEqual([7]);
  });

  it('stays in hand when the server cannot be reached, and what was written on meanwhile stays too', async () => {
    const { writing } = set();
    writing.begin(clip, 10);
    writing.put({ text: 'Low' });
    reachable = false;
    expect(await writing.keep()).toBe(false);
    expect([writing.problem.value, writing.inHand.value!.note.text]).toEqual([
      'The server cannot be reached. What you wrote is still here.',
      'Low',
    ]);
    reachable = true;
    held = [];
    const sent = writing.keep();
    await expect.poll(() => held).toHaveLength(1);
    writing.put({ text: 'Low hips' });
    held[0]!();
    await sent;
    expect(writing.inHand.value!.note.text).toBe('Low hips');
    held = null;
    await writing.keep();
    expect(asked.at(-1)).toMatchObject({ url: '/api/notes/7', method: 'PUT', body: { revision: 3 } });
  });

  it('is kept when somebody goes on to another snap, and not shown there', async () => {
    const { writing, snap } = set();
    writing.begin(clip, 10);
    writing.put({ text: 'Low' });
    held = [];
    snap.value = { id: 4, notes: [] };
    await expect.poll(() => held).toHaveLength(1);
    held[0]!();
    await expect.poll(() => writing.writing.value).toBe(false);
    expect(asked).toHaveLength(1);
    expect(snap.value.notes).toEqual([]);
    writing.begin(clip, 10);
    snap.value = { id: 5, notes: [] };
    await nextTick();
    expect([writing.writing.value, asked.length]).toEqual([false, 1]);
  });

  it('shows on its frames what is drawn, its own clip alone, and the one in hand once', () => {
    const { writing } = set([NOTE]);
    const count = (frame: number, id = 5) => writing.shapesOn({ id }, frame).length;
    expect([count(19), count(20), count(40), count(41), count(30, 6)]).toEqual([0, 1, 1, 0, 0]);
    writing.edit(clip, NOTE);
    expect([count(19), count(30)]).toEqual([1, 1]);
    writing.place({ x: 0.1, y: 0.1 });
    expect(count(30)).toBe(2);
  });
});
