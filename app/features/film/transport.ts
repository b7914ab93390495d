import { computed, ref, watch, type Ref } from 'vue';
import { frameAt, frameOfMoment, sameMoment, seekTime, type FixedMoment, type Moment } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';

export const SPEEDS = [1, 0.5, 0.25] as const;

/** From this state of a video on it can be sought in. */
const HAS_PICTURES = 1;
/** How long before the snap a loop begins, seconds. */
const BEFORE_SNAP = 0.6;

/** A picture and what is known of its clip. */
export interface Shown {
  readonly clip: ClipBody;
  readonly video: HTMLVideoElement;
}

/**
 * Synchronised pictures: play, speeds, single frames, the moments that are marked, over and over. The first of `shown` leads and its frames
 * are counted; the others show the same moment, counted from the snap of each, or from another moment when they are `lockedAt` that.
 */
export function useTransport(shown: Ref<readonly Shown[]>, lockedAt: Ref<FixedMoment> = ref('snap')) {
  const frame = ref(0);
  /** The frame whose picture is to be seen: what is drawn and said of it waits for that, as it would only be in its way. */
  const seen = ref(0);
  const playing = ref(false);
  const looping = ref(false);
  /** Nothing is shown but the play itself, from a moment before the snap to the whistle. */
  const playOnly = ref(false);
  /** How often a clip was played to its end. */
  const ends = ref(0);
  const speed = ref<(typeof SPEEDS)[number]>(1);
  const lead = computed(() => shown.value[0] ?? null);
  const last = computed(() => (lead.value?.clip.frames ?? 1) - 1);

  const timeIn = ({ clip }: Shown, at: number): number =>
    seekTime(sameMoment(at, lead.value!.clip, clip, lockedAt.value), clip.framesPerSecond);

  function seek(to: number): void {
    pause();
    show(to);
  }

  function show(to: number): void {
    frame.value = Math.max(0, Math.min(last.value, to));
    for (const one of shown.value) one.video.currentTime = timeIn(one, frame.value);
    const first = lead.value?.video;
    if (!first || first.readyState < HAS_PICTURES) arrive();
    else first.addEventListener('seeked', arrive, { once: true });
  }
  const arrive = (): void => void (seen.value = frame.value);

  function pause(): void {
    playing.value = false;
    for (const { video } of shown.value) video.pause();
  }

  async function play(): Promise<void> {
    if (!lead.value) return;
    if (frame.value >= endOfPlay()) show(startOfPlay());
    for (const one of shown.value) {
      one.video.playbackRate = speed.value;
      one.video.currentTime = timeIn(one, frame.value);
    }
    playing.value = true;
    await Promise.all(shown.value.map(({ video }) => video.play().catch(() => pause())));
    follow();
  }

  /** A loop runs from a moment before the snap to the whistle, everything else from end to end. */
  const isCut = (): boolean => looping.value || playOnly.value;
  const startOfPlay = (): number => {
    const { snapFrame, framesPerSecond } = lead.value!.clip;
    return isCut() ? Math.max(0, Math.round(snapFrame - BEFORE_SNAP * framesPerSecond)) : 0;
  };
  const endOfPlay = (): number => (isCut() ? lead.value!.clip.whistleFrame : last.value);

  /** Reads the frame on show, and pulls a follower back that has drifted by more than a frame. */
  function follow(): void {
    const first = lead.value;
    if (!first || !playing.value) return;
    const { video, clip } = first;
    video.requestVideoFrameCallback((_now, picture) => {
      if (!playing.value || lead.value?.video !== video) return;
      frame.value = Math.min(last.value, frameAt(picture.mediaTime, clip.framesPerSecond));
      arrive();
      for (const one of shown.value.slice(1)) {
        const there = timeIn(one, frame.value);
        if (Math.abs(one.video.currentTime - there) > 2 / one.clip.framesPerSecond) one.video.currentTime = there;
      }
      if (!video.ended && frame.value < endOfPlay()) return follow();
      if (!looping.value) {
        pause();
        ends.value++;
        return;
      }
      show(startOfPlay());
      void play();
    });
  }

  /** From its beginning, at once. */
  function playAnew(): void {
    if (!lead.value) return;
    show(startOfPlay());
    void play();
  }
  const toggle = (): void => (playing.value ? pause() : void play());
  function slower(): void {
    speed.value = SPEEDS[(SPEEDS.indexOf(speed.value) + 1) % SPEEDS.length]!;
    for (const { video } of shown.value) video.playbackRate = speed.value;
  }
  /** To a moment of the clip that leads; nowhere when it is not marked there. */
  const jump = (to: Moment): void => {
    const frame = lead.value && frameOfMoment(lead.value.clip, to);
    if (frame !== null) seek(frame);
  };

  /** Counts in the frames of another clip from now on, at the same moment. */
  function change(from: ClipBody, to: ClipBody): void {
    pause();
    frame.value = sameMoment(frame.value, from, to);
    arrive();
  }

  watch(
    () => shown.value.map(({ video }) => video),
    (now, before) => {
      if (now.length === before.length && now.every((v) => before.includes(v))) return;
      pause();
      if (now.some((v) => !before.includes(v))) frame.value = 0;
      arrive();
    },
  );

  return {
    frame,
    seen,
    playing,
    looping,
    playOnly,
    ends,
    speed,
    last,
    playAnew,
    seek,
    show,
    toggle,
    slower,
    jump,
    change,
    pause,
  };
}
export type Transport = ReturnType<typeof useTransport>;
