import { onBeforeUnmount } from 'vue';
import { locale } from '@/words/habits';

/** Reads aloud on request, where the browser can. */
export function useSpeech() {
  const synthesis = typeof window !== 'undefined' && 'speechSynthesis' in window ? window.speechSynthesis : null;

  function speak(text: string): void {
    if (!synthesis) {
      return;
    }
    synthesis.cancel();
    const spoken = new SpeechSynthesisUtterance(text);
    spoken.lang = locale.value;
    synthesis.speak(spoken);
  }

  const hush = (): void => synthesis?.cancel();
  onBeforeUnmount(hush);
  return { canSpeak: synthesis !== null, speak, hush };
}
