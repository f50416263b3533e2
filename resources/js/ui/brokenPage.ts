import { ref } from 'vue';

/** Whether something unexpected broke: the page says so instead of staying blank. */
export const isTroubled = ref(false);

/** When the page was last reloaded because a part of it was gone (ms since 1970). */
const RELOADED = 'harmozon-reloaded';
/** Not again within this: what is gone then is not gone by a newer version (ms). */
const AGAIN_MS = 60_000;

const GONE = /dynamically imported module|importing a module script failed|preload css/i;

/** A part of the page that the server has no longer: a newer version is there. */
export const isGone = (e: unknown): boolean => e instanceof Error && GONE.test(e.message);

/**
 * Something broke. A missing part reloads the page, once; else the page says that it broke.
 *
 * @param to where one was going; where one is, without it
 */
export function troubled(e: unknown, to = window.location.href): void {
  console.error(e);
  if (isGone(e) && navigator.onLine && mayReload()) {
    window.location.assign(to);
    return;
  }
  isTroubled.value = true;
}

function mayReload(): boolean {
  try {
    const last = Number(sessionStorage.getItem(RELOADED) ?? 0);
    sessionStorage.setItem(RELOADED, String(Date.now()));
    return Date.now() - last > AGAIN_MS;
  } catch {
    return false;
  }
}
