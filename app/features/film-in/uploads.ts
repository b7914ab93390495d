import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { useSession } from '~/features/session/store';
import { startSending, unfinishedNames, type Said, type Sending } from './sender';

export interface UploadItem {
  readonly key: number;
  readonly name: string;
  readonly size: number;
  sent: number;
  state: 'queued' | 'sending' | 'paused' | 'failed';
  problem: string;
}

/** So many files are sent at once: more share the same line and none is there sooner. */
const AT_ONCE = 2;

/** Files on their way to the server; they go on while other places are looked at. */
export const useUploads = defineStore('uploads', () => {
  const session = useSession();
  const owner = (): string => `${session.member?.programId}-${session.member?.userId}`;
  const items = ref<UploadItem[]>([]);
  /** Begun on this machine some time ago, and not whole. */
  const unfinished = ref<string[]>([]);
  /** How many became whole since the page was opened. */
  const arrived = ref(0);
  const files = new Map<number, { file: File; said: Said; sending: Sending | null }>();
  let next = 1;

  const busy = computed(() => items.value.some((i) => i.state === 'sending' || i.state === 'queued'));
  const itemOf = (key: number): UploadItem | undefined => items.value.find((i) => i.key === key);

  function add(chosen: readonly File[], said: Omit<Said, 'name' | 'owner'>): void {
    for (const file of chosen) {
      const key = next++;
      files.set(key, { file, said: { ...said, name: file.name, owner: owner() }, sending: null });
      items.value.push({ key, name: file.name, size: file.size, sent: 0, state: 'queued', problem: '' });
      unfinished.value = unfinished.value.filter((name) => name !== file.name);
    }
    sendNext();
  }

  function sendNext(): void {
    for (const item of items.value) {
      if (items.value.filter((i) => i.state === 'sending').length >= AT_ONCE) return;
      if (item.state === 'queued') send(item.key);
    }
  }

  function send(key: number): void {
    const item = itemOf(key)!;
    const own = files.get(key)!;
    item.state = 'sending';
    item.problem = '';
    if (own.sending) return own.sending.goOn();
    own.sending = startSending(own.file, own.said, {
      sent: (bytes) => {
        const at = itemOf(key);
        if (at) at.sent = bytes;
      },
      done: () => {
        forget(key);
        arrived.value++;
        sendNext();
      },
      failed: (problem) => {
        const at = itemOf(key);
        if (at) Object.assign(at, { state: 'failed', problem });
        sendNext();
      },
    });
  }

  function pause(key: number): void {
    files.get(key)?.sending?.pause();
    itemOf(key)!.state = 'paused';
    sendNext();
  }

  /** Sends on, or tries again. */
  function goOn(key: number): void {
    itemOf(key)!.state = 'queued';
    sendNext();
  }

  function drop(key: number): void {
    files.get(key)?.sending?.drop();
    forget(key);
    sendNext();
  }

  function forget(key: number): void {
    files.delete(key);
    items.value = items.value.filter((i) => i.key !== key);
  }

  async function lookForUnfinished(): Promise<void> {
    const names = await unfinishedNames(owner());
    unfinished.value = names.filter((name) => !items.value.some((i) => i.name === name));
  }

  return { items, unfinished, arrived, busy, add, pause, goOn, drop, lookForUnfinished };
});
