import { ref } from 'vue';

interface Offer {
  text: string;
  undo: () => Promise<void> | void;
}

const offer = ref<Offer | null>(null);
let timer: ReturnType<typeof setTimeout> | undefined;

/** How long an undo stays on the screen (ms). */
const OFFERED_MS = 15_000;

/** Undo instead of "are you sure?": the last thing done can be taken back, with a click or with `u`. */
export function useUndo() {
  function done(text: string, undo: () => Promise<void> | void): void {
    clearTimeout(timer);
    offer.value = { text, undo };
    timer = setTimeout(dismiss, OFFERED_MS);
  }

  function dismiss(): void {
    offer.value = null;
  }

  /** While something is being changed the last offer is out of reach: it would undo the wrong thing. It comes back if the change fails. */
  async function during<T>(change: () => Promise<T>): Promise<T> {
    const last = offer.value;
    dismiss();
    try {
      return await change();
    } catch (e) {
      if (last && !offer.value) {
        done(last.text, last.undo);
      }
      throw e;
    }
  }

  async function takeBack(): Promise<void> {
    const last = offer.value;
    dismiss();
    await last?.undo();
  }

  return { offer, done, during, takeBack, dismiss };
}
