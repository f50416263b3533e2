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

  async function takeBack(): Promise<void> {
    const last = offer.value;
    dismiss();
    await last?.undo();
  }

  return { offer, done, takeBack, dismiss };
}
