import { computed, ref, watch, type Ref } from 'vue';
import { frameAt, seekTime } from '#core/film/frames';

export const SPEEDS = [1, 0.5, 0.25] as const;

/** Two synchronised pictures of one snap: play, speeds, single frames. The first picture leads, the others follow. */
export function useTransport(
  videos: Ref<HTMLVideoElement[]>,
  clip: Ref<{ framesPerSecond: number; frames: number } | null>,
) {
  const frame = ref(0);
  const playing = ref(false);
  const speed = ref<(typeof SPEEDS)[number]>(1);
  const rate = computed(() => clip.value?.framesPerSecond ?? 30);
  const last = computed(() => (clip.value?.frames ?? 1) - 1);

  function seek(to: number): void {
    pause();
    frame.value = Math.max(0, Math.min(last.value, to));
    for (const video of videos.value) video.currentTime = seekTime(frame.value, rate.value);
  }

  function pause(): void {
    playing.value = false;
    for (const video of videos.value) video.pause();
  }

  async function play(): Promise<void> {
    if (frame.value >= last.value) seek(0);
    for (const video of videos.value) {
      video.playbackRate = speed.value;
      video.currentTime = seekTime(frame.value, rate.value);
    }
    playing.value = true;
    await Promise.all(videos.value.map((v) => v.play().catch(() => pause())));
    follow();
  }

  /** Reads the frame on show, and pulls a follower back that has drifted by more than a frame. */
  function follow(): void {
    const [lead, ...others] = videos.value;
    if (!lead || !playing.value) return;
    lead.requestVideoFrameCallback((_now, shown) => {
      if (!playing.value) return;
      frame.value = Math.min(last.value, frameAt(shown.mediaTime, rate.value));
      for (const video of others)
        if (Math.abs(video.currentTime - lead.currentTime) > 1.5 / rate.value) video.currentTime = lead.currentTime;
      if (lead.ended || frame.value >= last.value) pause();
      else follow();
    });
  }

  const toggle = (): void => (playing.value ? pause() : void play());
  function slower(): void {
    speed.value = SPEEDS[(SPEEDS.indexOf(speed.value) + 1) % SPEEDS.length]!;
    for (const video of videos.value) video.playbackRate = speed.value;
  }

  watch(clip, () => {
    pause();
    frame.value = 0;
  });

  return { frame, playing, speed, last, rate, seek, toggle, slower, pause };
}
