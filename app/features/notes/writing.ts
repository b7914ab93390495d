import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { DRAWN, type Drawn, type FilmNote, type KeptNote, type Shape, type Shares } from '#core/model/film-note';
import type { SnapView } from '#core/model/snap-view';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

type Clip = SnapView['clips'][number];
/** A note in hand: a new one, or one that is kept already. */
interface InHand {
  /** The snap it was begun on. */
  readonly snapId: number;
  readonly clip: Clip;
  readonly kept: KeptNote | null;
  readonly note: FilmNote;
}
/** How far an arrow moves the cross, shares of the picture; with shift. */
const NEAR = 0.004;
const FAR = 0.04;
const MIDDLE: Shares = { x: 0.5, y: 0.5 };
const within = (share: number): number => Math.max(0, Math.min(1, share));

/** Writing and drawing on the film of a snap; what is kept of it is told anew through `changed`. */
export function useWriting(
  snap: Ref<Pick<SnapView, 'id' | 'notes'> | null>,
  changed: (snapId: number, notes: KeptNote[]) => void,
) {
  const inHand = shallowRef<InHand | null>(null);
  const tool = ref<Drawn>('arrow');
  /** Places of the shape that is being drawn. */
  const places = shallowRef<readonly Shares[]>([]);
  const cross = ref<Shares>(MIDDLE);
  const problem = ref('');
  const attempt = attempting(problem, 'What you wrote is still here.');
  const writing = computed(() => inHand.value !== null);
  const notes = computed<readonly KeptNote[]>(() => snap.value?.notes ?? []);
  // Whoever goes on to another snap has not thrown away what he wrote.
  watch(
    () => snap.value?.id,
    () => void (isEmpty.value ? leave() : keep()),
  );

  /** Begins a note at a frame; it shows for a second unless said otherwise. */
  function begin(clip: Clip, frame: number): void {
    const until = Math.min(clip.frames - 1, frame + Math.round(clip.framesPerSecond));
    inHand.value = {
      snapId: snap.value!.id,
      clip,
      kept: null,
      note: { frame, until, text: '', shapes: [], players: false },
    };
    [places.value, cross.value, problem.value] = [[], MIDDLE, ''];
  }
  function edit(clip: Clip, kept: KeptNote): void {
    const { frame, until, text, shapes, players } = kept;
    inHand.value = { snapId: snap.value!.id, clip, kept, note: { frame, until, text, shapes, players } };
    [places.value, problem.value] = [[], ''];
  }
  function put(change: Partial<FilmNote>): void {
    if (inHand.value) inHand.value = { ...inHand.value, note: { ...inHand.value.note, ...change } };
  }
  const take = (next: Drawn): void => void ([tool.value, places.value] = [next, []]);

  /** One more place of the shape; the last one makes it part of the note. */
  function place(at: Shares): void {
    if (!inHand.value) return;
    const all = [...places.value, { x: within(at.x), y: within(at.y) }];
    const isWhole = all.length === DRAWN[tool.value];
    places.value = isWhole ? [] : all;
    if (isWhole) put({ shapes: [...inHand.value.note.shapes, { kind: tool.value, at: all }].slice(-30) });
  }
  /** Takes back the last place, or the last shape. */
  function takeBack(): void {
    if (places.value.length) places.value = places.value.slice(0, -1);
    else if (inHand.value) put({ shapes: inHand.value.note.shapes.slice(0, -1) });
  }
  function move(x: number, y: number, far: boolean): void {
    const by = far ? FAR : NEAR;
    cross.value = { x: within(cross.value.x + x * by), y: within(cross.value.y + y * by) };
  }
  const leave = (): void => void ([inHand.value, places.value, problem.value] = [null, [], '']);

  /** Tells what became of the notes of a snap, as long as it is the one that is looked at. */
  function tell(of: number | undefined, next: (all: readonly KeptNote[]) => KeptNote[]): void {
    if (of !== undefined && snap.value?.id === of) changed(of, next(notes.value));
  }

  const isEmpty = computed(() => !inHand.value?.note.text.trim() && !inHand.value?.note.shapes.length);
  const keep = (): Promise<boolean> =>
    attempt(async () => {
      const { snapId, clip, kept, note } = inHand.value!;
      const saved = kept
        ? await request<KeptNote>(`/api/notes/${kept.id}`, { method: 'PUT', body: { revision: kept.revision, note } })
        : await request<KeptNote>(`/api/clips/${clip.id}/notes`, { method: 'POST', body: { ...note } });
      tell(snapId, (all) => [...all.filter((n) => n.id !== saved.id), saved]);
      if (inHand.value?.note === note) leave();
      // What was written on meanwhile is a change of what is kept now.
      else if (inHand.value?.kept === kept) inHand.value = { ...inHand.value, kept: saved };
    });
  const remove = ({ id }: KeptNote): Promise<boolean> =>
    attempt(async () => {
      const of = snap.value?.id;
      await request(`/api/notes/${id}`, { method: 'DELETE' });
      tell(of, (all) => all.filter((n) => n.id !== id));
      if (inHand.value?.kept?.id === id) leave();
    });

  /** What is drawn on a frame of a clip: notes that are shown there, and what is in hand. */
  function shapesOn(clip: { readonly id: number }, frame: number): Shape[] {
    const own = inHand.value?.clip.id === clip.id ? inHand.value : null;
    const kept = notesOn(clip, frame).filter((n) => n.id !== own?.kept?.id);
    const begun: Shape[] = own && places.value.length ? [{ kind: tool.value, at: [...places.value] }] : [];
    return [...kept.flatMap((n) => n.shapes), ...(own?.note.shapes ?? []), ...begun];
  }
  const notesOn = (clip: { readonly id: number }, frame: number): KeptNote[] =>
    notes.value.filter((n) => n.clipId === clip.id && n.frame <= frame && frame <= n.until);

  return {
    inHand,
    tool,
    places,
    cross,
    problem,
    writing,
    isEmpty,
    begin,
    edit,
    put,
    take,
    place,
    takeBack,
    move,
    leave,
    keep,
    remove,
    shapesOn,
    notesOn,
  };
}
export type Writing = ReturnType<typeof useWriting>;
