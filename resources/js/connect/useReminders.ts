import { useLocalStorage } from '@vueuse/core';
import { ref, watch, type Ref } from 'vue';
import type { Visit } from './useVisit';

/** How late a reminder may come and still be one (s). */
const LATE_S = 90;

function beep(): void {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.connect(audio.destination);
    tone.frequency.value = 880;
    tone.start();
    tone.stop(audio.currentTime + 0.25);
    tone.onended = () => void audio.close();
  } catch {
    // A browser without sound still shows the words.
  }
}

/** Calls the driver back: by words always; by sound, vibration and a notification once that was asked for. */
export function useReminders(visit: Ref<Visit | null>, elapsedS: Ref<number>) {
  const isLoud = useLocalStorage('harmozon-reminders', false);
  const current = ref<string | null>(null);
  const told = new Set<number>();

  watch([visit, elapsedS], ([v, now]) => {
    const due = v?.reminders.find((r) => r.at_s <= now && now < r.at_s + LATE_S && !told.has(r.at_s));
    if (!due) {
      return;
    }
    told.add(due.at_s);
    current.value = due.words;
    if (isLoud.value) {
      beep();
      navigator.vibrate?.([200, 100, 200]);
      if ('Notification' in window && Notification.permission === 'granted') {
        // A phone shows notifications by its service worker only.
        void navigator.serviceWorker
          ?.getRegistration()
          .then((r) => r?.showNotification('Harmozon', { body: due.words }));
      }
    }
  });

  async function toggle(): Promise<void> {
    isLoud.value = !isLoud.value;
    if (isLoud.value && 'Notification' in window && Notification.permission === 'default') {
      await Notification.requestPermission();
    }
  }

  return { isLoud, current, toggle, dismiss: () => (current.value = null) };
}
