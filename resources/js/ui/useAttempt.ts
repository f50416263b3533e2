import { ref } from 'vue';
import { wordsOf } from '@/api/client';

/**
 * Something that may be refused: busy while it lasts, and what was wrong when it fails.
 *
 * @param say how a failure is told; its own message by default
 */
export function useAttempt(say: (e: unknown) => string = wordsOf) {
  const isBusy = ref(false);
  const error = ref('');

  async function attempt(task: () => Promise<void>): Promise<void> {
    isBusy.value = true;
    error.value = '';
    try {
      await task();
    } catch (e) {
      error.value = say(e);
    } finally {
      isBusy.value = false;
    }
  }

  return { isBusy, error, attempt };
}
