import type { Me } from '@/api/client';

/** The person whose device this is, as the server last said: only they see what it keeps. Survives a reload without a network. */
const WHO = 'harmozon-me';
/** Somebody signed out where there was no network; the server is still to be told. */
const LEAVING = 'harmozon-leaving';
/** Whose this tab's choices are. */
const TAB = 'harmozon-tab-of';
const OURS = 'harmozon-';
/** Drafts name their own account; `drafts.ts` forgets them. */
const DRAFTS = 'harmozon-draft';

/** A device that keeps nothing is one on which nobody is known. */
function quietly<T>(task: () => T, otherwise: T): T {
  try {
    return task();
  } catch {
    return otherwise;
  }
}

export const knownHere = (): Me | null =>
  quietly(() => JSON.parse(localStorage.getItem(WHO) ?? 'null') as Me | null, null);

export const rememberHere = (me: Me): void => quietly(() => localStorage.setItem(WHO, JSON.stringify(me)), undefined);

export const forgetHere = (): void => quietly(() => localStorage.removeItem(WHO), undefined);

export const isLeaving = (): boolean => quietly(() => localStorage.getItem(LEAVING) !== null, false);

export const leaves = (isOn: boolean): void =>
  quietly(() => (isOn ? localStorage.setItem(LEAVING, 'yes') : localStorage.removeItem(LEAVING)), undefined);

/** A tab that was another's forgets what was chosen in it. */
export function standIn(account: string | null): void {
  quietly(() => {
    if (account !== null && sessionStorage.getItem(TAB) === account) {
      return;
    }
    Object.keys(sessionStorage)
      .filter((key) => key.startsWith(OURS) && !key.startsWith(DRAFTS))
      .forEach((key) => sessionStorage.removeItem(key));
    if (account !== null) {
      sessionStorage.setItem(TAB, account);
    }
  }, undefined);
}

/** Calls when another tab has let somebody else in, or the one out who is shown here. */
export function onSomebodyElse(shown: () => string | null, tell: () => void): void {
  window.addEventListener('storage', (event) => {
    if (event.key === WHO && shown() !== null && (knownHere()?.user.id ?? null) !== shown()) {
      tell();
    }
  });
}
