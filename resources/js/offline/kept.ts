import { db } from './db';

/** Questions that change nothing, whose answers are worth keeping. */
const ASKS =
  /^\/api\/(me|terms|garage|garage\/plates|board|car-kinds|catalogue|sessions|sessions\/[0-9A-Z]{26}(\/(readings|photos))?|fit|forecast|steps|ranking)(\?|$)/i;
const ASKED_BY_POST = /^\/api\/(fit|forecast|steps|ranking)$/i;

/** So many answers are kept, the newest. */
const MOST = 400;

/** A request is read before it is sent: afterwards its body is gone. */
const keys = new WeakMap<Request, Promise<string | null>>();

async function keyOf(request: Request): Promise<string | null> {
  const { pathname, search } = new URL(request.url);
  const path = pathname + search;
  if (!ASKS.test(path) || (request.method !== 'GET' && !ASKED_BY_POST.test(path))) {
    return null;
  }
  const key = `${request.headers.get('X-Garage') ?? ''} ${path}`;
  return request.method === 'GET' ? key : `${key} ${await request.clone().text()}`;
}

/** Notes what is asked, before it is. */
export function asks(request: Request): void {
  keys.set(request, keyOf(request));
}

/** Keeps an answer. A device that has no room, or will not keep anything, is no reason not to show it. */
export async function keep(request: Request, response: Response): Promise<void> {
  try {
    const key = await keys.get(request);
    if (!key || !response.ok) {
      return;
    }
    const body: unknown = await response.json();
    await (await db()).put('kept', { key, at: Date.now(), body });
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

/** Forgets every answer: whoever signs in next is somebody else. */
export async function forgetAll(): Promise<void> {
  try {
    const database = await db();
    await database.clear('kept');
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
