import { ref, watch, type Ref } from 'vue';
import { draftKey, keepDraft, keptDraft, type KeptIn } from '@/offline/drafts';
import { useAccount } from './account';

/**
 * Keeps what is being typed, so that closing a drawer, a reload or signing in again loses nothing. `name` says what is
 * typed; a draft that equals what it began from is not kept. One kept on the device also outlives the tab.
 */
export function useDraft<T>(name: string, value: Ref<T>, where: KeptIn = 'tab') {
  const { me } = useAccount();
  const key = draftKey(String(me?.user.id ?? ''), String(me?.garage?.id ?? ''), name);
  const start = JSON.stringify(value.value);
  const kept = keptDraft(key, where);
  /** What is shown was typed earlier and not saved. */
  const isKept = ref(kept !== null && kept !== start);
  if (kept !== null && isKept.value) {
    value.value = JSON.parse(kept) as T;
  }

  watch(
    value,
    (now) => {
      const text = JSON.stringify(now);
      keepDraft(key, text === start ? null : text, where);
    },
    { deep: true, flush: 'sync' },
  );

  /** It was saved, or is not wanted. */
  function drop(): void {
    keepDraft(key, null, where);
    isKept.value = false;
  }

  function startOver(): void {
    value.value = JSON.parse(start) as T;
    drop();
  }

  return { isKept, drop, startOver };
}
