import { computed, type Ref } from 'vue';
import type { Pixel } from '#core/model/calibration';
import type { Angle } from '#core/model/angle';
import { useWritingKeys } from '~/features/notes/keys';
import type NotePanel from '~/features/notes/NotePanel.vue';
import { savePicture } from '~/features/notes/save';
import { useWriting } from '~/features/notes/writing';
import type FilmPair from './FilmPair.vue';
import { useFilm } from './store';

type Shown<T extends abstract new (...args: never) => unknown> = Ref<InstanceType<T> | null>;

/** Writing and drawing on the film that is shown, and the frames marks are tied to; while one writes the keys are its own. */
export function useNotesHere(pair: Shown<typeof FilmPair>, notes: Shown<typeof NotePanel>) {
  const film = useFilm();
  const writing = useWriting(
    computed(() => film.snap),
    film.setNotes,
  );
  const frame = computed(() => pair.value?.transport.frame.value ?? 0);
  const seen = computed(() => pair.value?.transport.seen.value ?? 0);
  const videoOf = (clip: { id: number }) => pair.value?.shown.find((s) => s.clip.id === clip.id)?.video;
  const game = computed(() => film.games.find((g) => g.id === film.game));
  /** What is shown, as files of it are called. */
  const name = computed(() => `week ${game.value?.week ?? ''} snap ${film.snap?.number ?? ''}`);

  function write(): void {
    const lead = pair.value?.lead;
    if (!lead) return;
    pair.value!.transport.pause();
    writing.begin(lead, frame.value);
  }
  function point(clip: { id: number }, { x, y }: Pixel): void {
    const video = videoOf(clip);
    if (video) writing.place({ x: x / video.videoWidth, y: y / video.videoHeight });
  }
  useWritingKeys(writing, {
    step: (frames) => pair.value?.transport.seek(frame.value + frames),
    words: () => void notes.value?.words(),
  });
  function seekIn(clip: number, to: number): void {
    if (pair.value?.lead?.id !== clip) pair.value?.swap();
    pair.value?.transport.seek(to);
  }
  function seekAngle(angle: string, to: number): void {
    const clip = film.snap?.clips.find((c) => c.angle === angle);
    if (clip) seekIn(clip.id, to);
  }
  /** Keeps the frame that is shown with the mark of the man in hand. */
  function markFrame(): void {
    const lead = pair.value?.lead;
    if (!lead || !film.selected) return;
    const frames = film.marks[film.selected]?.frames ?? [];
    const here = { angle: lead.angle as Angle, frame: frame.value, says: '' };
    film.change(film.selected, { frames: [...frames, here].slice(-8) });
  }
  function picture(): void {
    const lead = pair.value?.lead;
    const video = lead && videoOf(lead);
    if (lead && video) void savePicture(name.value, lead, frame.value, video, writing);
  }
  return { writing, now: { frame: seen }, name, write, point, seekIn, seekAngle, picture, markFrame };
}
