import { ref } from 'vue';

/** Whether a newer version is ready on this device. It is loaded on request, or with the next start. */
export const isNewer = ref(false);

let waiting: ServiceWorker | null = null;

/** Puts the application on the device, where the browser can. What is open goes on as it is. */
export async function install(): Promise<void> {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) {
    return;
  }
  try {
    const registration = await navigator.serviceWorker.register('/sw.js');
    const look = (worker: ServiceWorker | null): void => {
      if (worker?.state === 'installed' && navigator.serviceWorker.controller) {
        waiting = worker;
        isNewer.value = true;
      }
    };
    look(registration.waiting);
    registration.addEventListener('updatefound', () => {
      const worker = registration.installing;
      worker?.addEventListener('statechange', () => look(worker));
    });
  } catch {
    // Without it Harmozon works as long as there is a network.
  }
}

/** What was typed and saved is on the device before the page reloads. */
export function renew(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
  waiting?.postMessage({ type: 'SKIP_WAITING' });
}
