import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, ApiError, ask, wordsOf, type Reading, type Report } from '@/api/client';
import type { Act, Doing } from '@/offline/pendingActions';
import { db, type Begun } from '@/offline/db';
import { afterNews } from '@/offline/serverReadings';
import { amend } from '@/offline/answerStore';
import { offlineSince, unreached } from '@/offline/network';
import { becomes } from '@/offline/refusals';
import { useAccount } from './account';

/** How long until the network is tried again without anybody asking (ms). */
const AGAIN_MS = 10_000;

/** A call that hangs is given up after this long and repeated; an undo waits for it (ms). */
const GIVEN_UP_MS = 30_000;
const PHOTO_GIVEN_UP_MS = 180_000;

/** Readings one call may bring. */
const BATCH = 200;

type Judged = Pick<Report, 'chain' | 'judgement' | 'curve' | 'counted'>;
type Events = Pick<Report, 'events' | 'handshake_s'>;

/** One tab at a time. Where a browser has no locks, as without TLS, what is sent twice still stands once. */
async function alone<T>(task: () => Promise<T>): Promise<T> {
  const locks = typeof navigator === 'undefined' ? undefined : (navigator as { locks?: LockManager }).locks;
  return await (locks ? locks.request('harmozon-outbox', task) : task());
}

/** What is written down holds nothing of the page: a screen's own objects cannot be stored. A photograph stays as it is. */
function bare<T extends object>(value: T): T {
  const plain = JSON.parse(JSON.stringify(value)) as T;
  return 'file' in value ? { ...plain, file: value.file } : plain;
}

/** The newest readings of a session, as the server gives them. */
interface List {
  count: number;
  readings: Reading[];
}

/** What an act that was sent has told of its session. */
export interface News {
  session: string;
  /** The server has heard of it now. */
  isBegun?: true;
  report?: Report;
  judged?: Judged;
  events?: Events;
  /** Readings that the server has now. */
  taken?: Reading[];
  /** The reading that it has no longer. */
  forgotten?: string;
  /** There is a photograph more. */
  isPhoto?: boolean;
}

/**
 * What was done beside the car. Every act is written down on the device first and sent in order; it leaves the device when
 * the server has it. Tabs take turns; what the server refuses stays, with the reason, until somebody decides.
 */
export const useOutbox = defineStore('outbox', () => {
  const account = useAccount();
  // As they were written down: a photograph cannot be looked into.
  const acts = shallowRef<Act[]>([]);
  const isSending = ref(false);
  /** Whether this device could not write something down; what was typed is still on the screen. */
  const isFull = ref(false);
  const listeners = new Set<(news: News) => void>();
  let again: ReturnType<typeof setTimeout> | undefined;
  let isListening = false;

  /** People see and send only what they did themselves, in the garage that is open. */
  const mine = computed(() =>
    acts.value.filter((a) => a.account === account.me?.user.id && a.garage === account.me?.garage?.id),
  );
  const waiting = computed(() => mine.value.filter((a) => a.refused === undefined));
  const refused = computed(() => mine.value.filter((a) => a.refused !== undefined));
  const of = (session: string) => mine.value.filter((a) => a.session === session);

  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('harmozon-outbox');

  async function look(): Promise<void> {
    acts.value = await (await db()).getAll('acts');
  }

  /** Begins to watch: other tabs, the network, a screen that is looked at again. */
  async function start(): Promise<void> {
    if (!isListening) {
      isListening = true;
      useEventListener('online', () => void send());
      useEventListener(document, 'visibilitychange', () => document.visibilityState === 'visible' && void send());
      useEventListener(channel, 'message', () => void look());
    }
    await adopt().catch(() => undefined);
    await look().catch(() => undefined);
    void send();
  }

  /** What was written down before accounts were noted belongs to the first who is at home in its garage. */
  async function adopt(): Promise<void> {
    const me = account.me;
    const tx = (await db()).transaction(['acts', 'begun'], 'readwrite');
    const isOurs = (a: { account?: string; garage: string }) =>
      me !== null && a.account === undefined && me.garages.some((g) => g.id === a.garage);
    const [theirs, begun] = [tx.objectStore('acts'), tx.objectStore('begun')];
    await Promise.all([
      ...(await theirs.getAll()).filter(isOurs).map((a) => theirs.put({ ...a, account: me?.user.id ?? '' })),
      ...(await begun.getAll()).filter(isOurs).map((b) => begun.put({ ...b, account: me?.user.id ?? '' })),
      tx.done,
    ]);
  }

  const whose = () => ({ account: account.me?.user.id ?? '', garage: account.me?.garage?.id ?? '' });

  /** Writes an act down. When this has ended without an error, nothing short of a lost device loses it. */
  async function add(session: string, doing: Doing): Promise<void> {
    await written(async () => {
      await (await db()).add('acts', bare({ ...doing, session, ...whose() }));
    });
    void send();
  }

  /** Begins a session: all of it is written down, or nothing. */
  async function begin(begun: Begun, ...doings: Doing[]): Promise<void> {
    await written(async () => {
      const tx = (await db()).transaction(['acts', 'begun'], 'readwrite');
      const writes: Promise<unknown>[] = [tx.done];
      try {
        writes.push(tx.objectStore('begun').put(bare({ ...begun, ...whose() })));
        for (const doing of doings) {
          writes.push(tx.objectStore('acts').add(bare({ ...doing, session: begun.id, ...whose() })));
        }
        await Promise.all(writes);
      } catch (e) {
        // What fails before it is asked for does not end the whole by itself; what has ended cannot be ended again.
        writes.forEach((write) => write.catch(() => undefined));
        try {
          tx.abort();
        } catch {
          // It had ended.
        }
        throw e;
      }
    });
    void send();
  }

  async function written(write: () => Promise<void>): Promise<void> {
    try {
      await write();
      isFull.value = false;
    } catch (e) {
      isFull.value = true;
      throw e;
    }
    await look();
    channel?.postMessage('changed');
  }

  async function gone(done: Act[]): Promise<void> {
    const tx = (await db()).transaction('acts', 'readwrite');
    await Promise.all([...done.map((a) => tx.store.delete(a.n ?? -1)), tx.done]);
    await look();
    channel?.postMessage('changed');
  }

  /** Takes an act out of the queue. Whether the server has certainly never heard of it. */
  async function withdraw(isIt: (act: Act) => boolean): Promise<boolean> {
    return alone(async () => {
      await look();
      const found = acts.value.filter(isIt);
      await gone(found);
      return found.length > 0 && found.every((a) => !a.isTried);
    });
  }

  /** What was refused is tried once more, or dropped. */
  async function retry(): Promise<void> {
    const database = await db();
    await Promise.all(refused.value.map((act) => database.put('acts', bare({ ...act, refused: undefined }))));
    await look();
    await send();
  }

  const drop = (): Promise<void> => gone(refused.value);

  let flight: Promise<void> | null = null;
  let isWanted = false;

  /** Sends what waits. Asked while it is at it, it looks once more before it ends. */
  function send(): Promise<void> {
    if (account.me === null) {
      return Promise.resolve();
    }
    isWanted = true;
    flight ??= run();
    return flight;
  }

  async function run(): Promise<void> {
    clearTimeout(again);
    isSending.value = true;
    try {
      while (isWanted) {
        isWanted = false;
        await alone(sendAll);
      }
    } catch {
      // A device that cannot be read now is read again.
    } finally {
      // At once: the next question starts a new request.
      flight = null;
      isSending.value = false;
      if (waiting.value.length > 0) {
        again = setTimeout(() => void send(), AGAIN_MS);
      }
    }
  }

  async function sendAll(): Promise<void> {
    await look();
    if (typeof navigator !== 'undefined' && navigator.onLine === false) {
      unreached();
      return;
    }
    for (let batch = next(); batch; batch = next()) {
      if (!(await sent(batch))) {
        return;
      }
    }
  }

  /** The next acts that go in one call. What follows a refused act of its session waits for it. */
  function next(): [Act, ...Act[]] | null {
    const held = new Set(refused.value.map((a) => a.session));
    const first = mine.value.find((a) => a.refused === undefined && !held.has(a.session));
    if (!first) {
      return null;
    }
    const rest = mine.value.filter((a) => a.session === first.session && a !== first);
    const others = rest.findIndex((a) => a.kind !== 'reading');
    return [
      first,
      ...(first.kind === 'reading' ? rest.slice(0, Math.min(BATCH - 1, others < 0 ? rest.length : others)) : []),
    ];
  }

  /** The session and the list of its readings as they are kept here, with what the server has now. */
  async function noteKept({ account: whose, garage, session }: Act, news: News): Promise<void> {
    // Somebody signed out while it was on its way: nothing of them is kept from now on.
    if (whose === undefined || whose !== account.me?.user.id) {
      return;
    }
    const path = `/api/sessions/${session}`;
    const { report, judged, events, isBegun, taken, forgotten } = news;
    if (report ?? judged ?? events) {
      await amend<Report>(whose, garage, path, (body) => report ?? (body && { ...body, ...judged, ...events }));
    }
    if (isBegun ?? taken ?? forgotten) {
      // Nobody has asked for the list of a session that began here a moment ago: it begins empty.
      const none = isBegun ? { count: 0, readings: [] } : undefined;
      await amend<List>(whose, garage, `${path}/readings`, (body = none) => {
        const now = body && afterNews({ onServer: body.readings, serverCount: body.count }, news);
        return now && { count: now.serverCount, readings: now.onServer };
      });
    }
  }

  /** Whether the next may go. */
  async function sent(batch: [Act, ...Act[]]): Promise<boolean> {
    try {
      await tries(batch);
      const news = await call(batch);
      // Told before it leaves the queue: nothing vanishes from a screen for a moment, nor from what the device keeps.
      listeners.forEach((tell) => tell(news));
      await noteKept(batch[0], news);
      await gone(batch);
      return true;
    } catch (e) {
      if (becomes(e instanceof ApiError ? e.status : 0) === 'refused') {
        await mark(batch, wordsOf(e));
        return true;
      }
      return false;
    }
  }

  /** Noted before it is sent: an answer that is lost, or a page that is killed, leaves nobody in doubt. */
  async function tries(batch: Act[]): Promise<void> {
    const first = batch.filter((a) => !a.isTried);
    if (first.length > 0) {
      const tx = (await db()).transaction('acts', 'readwrite');
      // What was taken back meanwhile stays so.
      const there = await Promise.all(first.map((a) => tx.store.get(a.n ?? -1)));
      await Promise.all([...there.flatMap((a) => (a ? [tx.store.put({ ...a, isTried: true })] : [])), tx.done]);
    }
  }

  /** Of several readings one may be at fault: they are told apart before any is refused. */
  async function mark(batch: [Act, ...Act[]], why: string): Promise<void> {
    if (batch.length > 1) {
      for (const act of batch) {
        if (!(await sent([act]))) {
          return;
        }
      }
      return;
    }
    const database = await db();
    await Promise.all(batch.map((a) => database.put('acts', bare({ ...a, isTried: true, refused: why }))));
    await look();
  }

  async function call(batch: [Act, ...Act[]]): Promise<News> {
    const [act] = batch;
    const { session } = act;
    const headers = { 'X-Garage': act.garage };
    const signal = AbortSignal.timeout(act.kind === 'photo' ? PHOTO_GIVEN_UP_MS : GIVEN_UP_MS);
    const at = { params: { path: { session } }, headers, signal };
    switch (act.kind) {
      case 'begin': {
        const age_s = Math.max(0, (Date.now() - act.startedMs) / 1000);
        const body = { ...act.body, id: session, age_s };
        return { session, isBegun: true, report: await ask(api.POST('/sessions', { body, headers, signal })) };
      }
      case 'reading': {
        const readings = batch.flatMap((a) => (a.kind === 'reading' ? [a.reading] : []));
        const body = { readings, late: true };
        const judged = await ask(api.POST('/sessions/{session}/readings', { ...at, body }));
        return { session, judged, taken: readings };
      }
      case 'forget': {
        const path = { session, clientId: act.clientId };
        const call = api.DELETE('/sessions/{session}/readings/{clientId}', { params: { path }, headers, signal });
        return { session, judged: await ask(call), forgotten: act.clientId };
      }
      case 'event': {
        const body = { events: [act.event] };
        return { session, events: await ask(api.POST('/sessions/{session}/events', { ...at, body })) };
      }
      case 'forgetEvent': {
        const path = { session, clientId: act.clientId };
        const call = api.DELETE('/sessions/{session}/events/{clientId}', { params: { path }, headers, signal });
        return { session, events: await ask(call) };
      }
      case 'photo': {
        const body = new FormData();
        body.set('file', act.file, 'photo');
        body.set('id', act.id);
        body.set('t_s', String(act.tS));
        await ask(api.POST('/sessions/{session}/photos', { ...at, body: body as never }));
        return { session, isPhoto: true };
      }
      case 'correct':
        return { session, report: await ask(api.PATCH('/sessions/{session}', { ...at, body: act.fields })) };
      case 'finish':
        return { session, report: await ask(api.POST('/sessions/{session}/finish', { ...at, body: { t_s: act.tS } })) };
      case 'discard':
        await ask(api.DELETE('/sessions/{session}', at));
        return { session };
    }
  }

  /** Hears of every act that has reached the server. Ends with what is given back. */
  function onSent(tell: (news: News) => void): () => void {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }

  const begunHere = async (): Promise<Begun[]> =>
    (await (await db()).getAll('begun')).filter(
      (b) => b.account === account.me?.user.id && b.garage === account.me?.garage?.id,
    );
  const keepBegun = async (begun: Begun): Promise<void> => void (await (await db()).put('begun', bare(begun)));
  const forgetBegun = async (id: string): Promise<void> => (await db()).delete('begun', id);

  return {
    acts,
    waiting,
    refused,
    isSending,
    isFull,
    offlineSince,
    of,
    look,
    start,
    add,
    begin,
    withdraw,
    retry,
    drop,
    send,
    onSent,
    begunHere,
    keepBegun,
    forgetBegun,
  };
});
