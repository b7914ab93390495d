/* Going to a place in a film, and waiting no longer than a film may take. */

/** Longest a film may take to show a frame, milliseconds. */
const PATIENCE = 8000;

/** `HTMLMediaElement.HAVE_METADATA` and `HAVE_CURRENT_DATA`; a film that has had a picture has none again while it goes to another frame. */
const [HAS_A_SIZE, HAS_A_PICTURE] = [1, 2];

/** A film that is only just coming has no size yet, and can be sent to no frame. */
export async function loaded(video: HTMLVideoElement): Promise<void> {
  if (video.readyState < HAS_A_SIZE) await once(video, 'loadedmetadata');
}

export async function seek(video: HTMLVideoElement, time: number): Promise<void> {
  if (Math.abs(video.currentTime - time) < 1e-4 && !video.seeking && video.readyState >= HAS_A_PICTURE) return;
  const there = once(video, 'seeked');
  video.currentTime = time;
  await there;
}

/** What is said where the browser waits in vain. */
const LATE = {
  loadedmetadata: 'The film does not come.',
  seeked: 'The film does not come to the frame that was asked for.',
} as const;
const UNREADABLE = 'The film cannot be read. It may have been replaced or taken away since: open the snap again.';

/** Waits for an event of a film; fails at once where it cannot be read, and where it does not come in time. */
async function once(video: HTMLVideoElement, event: keyof typeof LATE): Promise<void> {
  if (video.error) throw new Error(UNREADABLE);
  const waiting = new AbortController();
  const { signal } = waiting;
  let late: ReturnType<typeof setTimeout> | undefined;
  try {
    await new Promise<void>((done, fail) => {
      late = setTimeout(() => fail(new Error(LATE[event])), PATIENCE);
      video.addEventListener(event, () => done(), { signal });
      video.addEventListener('error', () => fail(new Error(UNREADABLE)), { signal });
    });
  } finally {
    clearTimeout(late);
    waiting.abort();
  }
}
