/**
 * What becomes of an act that the server has answered so, or not at all (0): it is `done`, it `waits` and is sent again, or it
 * is `refused` and stays, with the reason, until somebody decides. Nothing is taken for done because it was not found: what is
 * to be taken back twice is answered as the first time (200, 204), so a 404 speaks of another place than was meant.
 */
export type Becomes = 'done' | 'waits' | 'refused';

/** Temporary refusals: not signed in, timeout, another account or garage open in this browser, expired token, too many requests. */
const OF_THE_MOMENT = [401, 408, 412, 419, 425, 429];

export function becomes(status: number): Becomes {
  if (status >= 200 && status < 300) {
    return 'done';
  }
  return status < 400 || status >= 500 || OF_THE_MOMENT.includes(status) ? 'waits' : 'refused';
}
