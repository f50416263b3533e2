import { ref } from 'vue';

/** Since when the server cannot be reached (ms since 1970); null while it can. */
export const offlineSince = ref<number | null>(null);

/** The oldest of the answers that are shown from this device instead of the server's (ms since 1970). */
export const shownFrom = ref<number | null>(null);

export function reached(): void {
  offlineSince.value = null;
  shownFrom.value = null;
}

export function unreached(): void {
  offlineSince.value ??= Date.now();
}

export function showsKept(at: number): void {
  shownFrom.value = Math.min(at, shownFrom.value ?? at);
}
