import { useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { frameAt, seekTime } from '#core/film/frames';
import { useRecording } from './store';

const SPEEDS = [1, 2, 4] as const;

/** The recording as it runs: which frame is shown, and how fast it goes. */
export function useRunning(video: Ref<HTMLVideoElement | null>) {
  const store = useRecording();
  const frame = ref(0);
  const playing = ref(false);
  const speed = ref<(typeof SPEEDS)[number]>(1);

  function seek(to: number): void {
    video.value?.pause();
    frame.value = Math.max(0, Math.min(store.frames - 1, Math.round(to)));
    if (video.value) video.value.currentTime = seekTime(frame.value, store.rate);
  }
  function follow(): void {
    video.value?.requestVideoFrameCallback((_now, picture) => {
      if (!playing.value) return;
      frame.value = Math.min(store.frames - 1, frameAt(picture.mediaTime, store.rate));
      follow();
    });
  }
  useEventListener(video, 'play', () => {
    playing.value = true;
    follow();
  });
  useEventListener(video, 'pause', () => (playing.value = false));

  function toggle(): void {
    if (!video.value) return;
    video.value.playbackRate = speed.value;
    if (playing.value) video.value.pause();
    else void video.value.play();
  }
  function faster(): void {
    speed.value = SPEEDS[(SPEEDS.indexOf(speed.value) + 1) % SPEEDS.length]!;
    if (video.value) video.value.playbackRate = speed.value;
  }

  return { frame, playing, speed, seek, toggle, faster };
}
