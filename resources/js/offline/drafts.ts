/** Drafts by account and garage, in this tab or on this device; never a password. */
const PREFIX = 'harmozon-draft';

export type KeptIn = 'tab' | 'device';

const storage = (where: KeptIn): Storage => (where === 'tab' ? sessionStorage : localStorage);

export const draftKey = (account: string, garage: string, name: string): string =>
  [PREFIX, account, garage, name].join(' ');

/** Text, or null where nothing is kept or the device keeps nothing. */
export function keptDraft(key: string, where: KeptIn): string | null {
  try {
    return storage(where).getItem(key);
  } catch {
    return null;
  }
}

export function keepDraft(key: string, text: string | null, where: KeptIn): void {
  try {
    if (text === null) {
      storage(where).removeItem(key);
    } else {
      storage(where).setItem(key, text);
    }
  } catch {
    // What is typed is still on the screen.
  }
}

/** Forgets the drafts of everybody but one account; of everybody for null. */
export function forgetDraftsBut(account: string | null): void {
  for (const where of ['tab', 'device'] as const) {
    try {
      Object.keys(storage(where))
        .filter((key) => key.startsWith(`${PREFIX} `) && (account === null || !key.startsWith(`${PREFIX} ${account} `)))
        .forEach((key) => storage(where).removeItem(key));
    } catch {
      // A device that keeps nothing has nothing to forget.
    }
  }
}
