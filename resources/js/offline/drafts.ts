/** Drafts, kept in this tab by account and garage; never a password. */
const PREFIX = 'harmozon-draft';

export const draftKey = (account: string, garage: string, name: string): string =>
  [PREFIX, account, garage, name].join(' ');

/** Text, or null where nothing is kept or the device keeps nothing. */
export function keptDraft(key: string): string | null {
  try {
    return sessionStorage.getItem(key);
  } catch {
    return null;
  }
}

export function keepDraft(key: string, text: string | null): void {
  try {
    if (text === null) {
      sessionStorage.removeItem(key);
    } else {
      sessionStorage.setItem(key, text);
    }
  } catch {
    // What is typed is still on the screen.
  }
}

/** Forgets the drafts of everybody but one account; of everybody for null. */
export function forgetDraftsBut(account: string | null): void {
  try {
    Object.keys(sessionStorage)
      .filter((key) => key.startsWith(`${PREFIX} `) && (account === null || !key.startsWith(`${PREFIX} ${account} `)))
      .forEach((key) => sessionStorage.removeItem(key));
  } catch {
    // A device that keeps nothing has nothing to forget.
  }
}
