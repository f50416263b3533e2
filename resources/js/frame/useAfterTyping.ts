import { useEventListener } from '@vueuse/core';

/** Who has typed nothing for this long is no longer interrupted by a dialog (ms). */
const REST_MS = 3_000;

/**
 * Does at once what would take the keyboard from somebody, or once they have stopped typing: what they type next would
 * go into a field they didn't mean. A press of a button, or the end of a form, ends their typing.
 */
export function useAfterTyping(act: () => void): () => void {
  let typedAt = -Infinity;
  let later: ReturnType<typeof setTimeout> | undefined;

  function due(): void {
    clearTimeout(later);
    const restMs = typedAt + REST_MS - Date.now();
    later = undefined;
    if (restMs > 0) {
      later = setTimeout(due, restMs);
    } else {
      act();
    }
  }

  function ends(): void {
    typedAt = -Infinity;
    if (later !== undefined) {
      due();
    }
  }

  useEventListener(document, 'input', () => (typedAt = Date.now()), { capture: true });
  useEventListener(document, ['click', 'submit'], ends, { capture: true });

  return due;
}
