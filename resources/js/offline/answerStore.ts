import { db } from './db';

/** Questions that change nothing, whose answers are worth keeping. */
const ASKS =
  /^\/api\/(terms|garage|garage\/plates|board|car-kinds|catalogue|sessions|sessions\/[0-9A-Z]{26}(\/(readings|photos))?|fit|forecast|steps|ranking|simulation|kit|vetting|tours\/[0-9A-Z]{26}\/pack)(\?|$)/i;
const ASKED_BY_POST = /^\/api\/(fit|forecast|steps|ranking|simulation|vetting)$/i;

/** So many answers are kept, the newest. */
const MOST = 400;

/** A request is read before it is sent: afterwards its body is gone. */
const keys = new WeakMap<Request, Promise<string | null>>();

/** One after the other: what was asked, and what has changed since. */
let turn = 0;
const askedAt = new WeakMap<Request, number>();

/** Changes of answers that may still be on their way, by their keys; an answer that was asked for before one knows nothing of it. */
const changes = new Map<string, { at: number; change: (body: unknown) => unknown }[]>();
const MOST_CHANGES = 60;

/** Before the keys of what is kept for an account, and for one of its garages. */
const ofAccount = (account: string): string => `${account} `;
const ofGarage = (account: string, garage: string): string => `${ofAccount(account)}${garage} `;

/** Null where nothing is kept: for an unknown person, or a question that was never asked. */
async function keyOf(request: Request): Promise<string | null> {
  const { pathname, search } = new URL(request.url);
  const path = pathname + search;
  const account = request.headers.get('X-Account');
  if (account === null || !ASKS.test(path) || (request.method !== 'GET' && !ASKED_BY_POST.test(path))) {
    return null;
  }
  const key = ofGarage(account, request.headers.get('X-Garage') ?? '') + path;
  return request.method === 'GET' ? key : `${key} ${await request.clone().text()}`;
}

/** Notes what is asked, before it is. */
export function asks(request: Request): void {
  askedAt.set(request, ++turn);
  keys.set(request, keyOf(request));
}

/** Keeps an answer. A device that has no room, or will not keep anything, is no reason not to show it. */
export async function keep(request: Request, response: Response): Promise<void> {
  try {
    const key = await keys.get(request);
    if (!key || !response.ok) {
      return;
    }
    const said: unknown = await response.json();
    const asked = askedAt.get(request) ?? 0;
    const tx = (await db()).transaction('kept', 'readwrite');
    // What changes from now on finds this answer kept.
    const since = (changes.get(key) ?? []).filter((c) => c.at > asked);
    const body = since.reduce((so, { change }) => change(so), said);
    await Promise.all([tx.store.put({ key, at: Date.now(), body }), tx.done]);
    await prune();
  } catch {
    // Nothing is lost: the answer is on the screen.
  }
}

/** The answer that was given when there was a network; null where there is none. */
export async function recall(request: Request): Promise<{ body: unknown; at: number } | null> {
  try {
    const key = await keys.get(request);
    const found = key ? await (await db()).get('kept', key) : undefined;
    return found ? { body: found.body, at: found.at } : null;
  } catch {
    return null;
  }
}

/**
 * What has changed since an answer was given, so that without a network it does not lag behind what is known here.
 *
 * @param change of the answer that is kept; of undefined where none is, which stays so where it gives undefined back
 */
export async function amend<T>(
  account: string,
  garage: string,
  path: string,
  change: (body: T | undefined) => T | undefined,
): Promise<void> {
  const key = ofGarage(account, garage) + path;
  const changed = { at: ++turn, change: (body: unknown) => change(body as T | undefined) };
  changes.set(key, [...(changes.get(key) ?? []).slice(1 - MOST_CHANGES), changed]);
  try {
    const tx = (await db()).transaction('kept', 'readwrite');
    const found = await tx.store.get(key);
    const body = change(found?.body as T | undefined);
    const at = found?.at ?? Date.now();
    await Promise.all([body === undefined ? undefined : tx.store.put({ key, at, body }), tx.done]);
  } catch {
    // The next answer tells.
  }
}

/**
 * Forgets every answer but those of one account and of the garages it belongs to. What was done and waits to be sent is no
 * answer, and stays.
 *
 * @param stays null: nobody's
 */
export async function forgetAllBut(stays: { account: string; garages: string[] } | null): Promise<void> {
  try {
    const mine = stays?.garages.map((garage) => ofGarage(stays.account, garage)) ?? [];
    const tx = (await db()).transaction('kept', 'readwrite');
    const all = await tx.store.getAllKeys();
    const gone = all.filter((key) => !mine.some((own) => key.startsWith(own)));
    await Promise.all([...gone.map((key) => tx.store.delete(key)), tx.done]);
  } catch {
    // A device that keeps nothing has nothing to forget.
  }
}

let sincePruned = 0;

async function prune(): Promise<void> {
  if (++sincePruned % 50 !== 0) {
    return;
  }
  const database = await db();
  const all = await database.getAll('kept');
  const old = all.toSorted((a, b) => b.at - a.at).slice(MOST);
  await Promise.all(old.map((k) => database.delete('kept', k.key)));
}
