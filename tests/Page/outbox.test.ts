import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Me } from '@/api/client';
import { ulid } from '@/api/ulid';
import type { Doing } from '@/offline/pendingActions';
import { db, forgetDatabase, type Begun } from '@/offline/db';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';

/** A repeatable row of chances (Mulberry32). */
function chances(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** The server's side of the contract: what is sent twice stands once. */
class Server {
  isReachable = true;
  /** Answers that are lost on the way back. */
  losesAnswer = () => false;
  isSignedOut = false;
  /** What it answers whatever it is asked. */
  answers: number | null = null;
  readonly begun: string[] = [];
  readonly readings = new Map<string, { session: string; t_s: number; kw: number }>();
  readonly events = new Map<string, string>();
  /** In the order in which they came for the first time. */
  readonly came: string[] = [];
  readonly finished = new Map<string, number>();

  answer(method: string, path: string, body: unknown): Response {
    const say = (status: number, json: unknown = {}) => new Response(JSON.stringify(json), { status });
    if (this.answers !== null) {
      return this.answers === 204 ? new Response(null, { status: 204 }) : say(this.answers, { message: 'so it is' });
    }
    if (this.isSignedOut) {
      return say(401, { message: 'signed out' });
    }
    const [, session = '', what = '', id = ''] =
      /^\/api\/sessions(?:\/([^/]+))?(?:\/([^/]+))?(?:\/([^/]+))?$/.exec(path) ?? [];
    const given = body as {
      id?: string;
      readings?: { client_id: string; t_s: number; kw: number }[];
      events?: { client_id: string; code: string }[];
      t_s?: number;
    };
    if (method === 'POST' && session === '') {
      if (given.id !== undefined && !this.begun.includes(given.id)) {
        this.begun.push(given.id);
      }
      return say(201, { session: { id: given.id } });
    }
    if (!this.begun.includes(session)) {
      return say(404, { message: 'no such session' });
    }
    if (method === 'POST' && what === 'readings') {
      for (const r of given.readings ?? []) {
        if (r.kw > 5000) {
          return say(422, { message: 'kw: too much', errors: { kw: ['too much'] } });
        }
      }
      for (const r of given.readings ?? []) {
        if (!this.came.includes(r.client_id)) {
          this.came.push(r.client_id);
          this.readings.set(r.client_id, { session, t_s: r.t_s, kw: r.kw });
        }
      }
    } else if (method === 'DELETE' && what === 'readings') {
      this.readings.delete(id);
    } else if (method === 'POST' && what === 'events') {
      for (const e of given.events ?? []) {
        this.events.set(e.client_id, e.code);
      }
    } else if (method === 'POST' && what === 'finish') {
      this.finished.set(session, given.t_s ?? -1);
    }
    return say(200);
  }
}

let server: Server;
/** The way to the server and back, on which both a question and its answer may be lost. */
vi.mock(import('@/api/client'), async (original) => {
  const real = await original();
  interface Init {
    params?: { path?: Record<string, string> };
    body?: unknown;
  }
  const call = (method: string) => async (path: string, init: Init) => {
    await Promise.resolve();
    if (!server.isReachable) {
      throw new real.ApiError(0, 'no network');
    }
    const at = Object.entries(init.params?.path ?? {}).reduce((to, [name, id]) => to.replace(`{${name}}`, id), path);
    const answer = server.answer(method, `/api${at}`, init.body ?? {});
    if (server.losesAnswer()) {
      throw new real.ApiError(0, 'the answer was lost');
    }
    const json: unknown = answer.status === 204 ? undefined : await answer.json();
    return answer.ok ? { data: json, response: answer } : { error: json, response: answer };
  };
  const api = { GET: call('GET'), POST: call('POST'), PATCH: call('PATCH'), DELETE: call('DELETE') };
  return { ...real, api: api as unknown as typeof real.api };
});

beforeEach(() => {
  server = new Server();
  globalThis.indexedDB = new IDBFactory();
  forgetDatabase();
  vi.stubGlobal('document', { cookie: '', visibilityState: 'visible', addEventListener: () => undefined });
  vi.stubGlobal('window', { addEventListener: () => undefined });
  vi.stubGlobal('BroadcastChannel', undefined);
});

afterEach(async () => {
  await quiet(useOutbox());
  vi.unstubAllGlobals();
});

/** Locks as browsers have them; those of a page that is gone are free. */
function locks() {
  let last: Promise<unknown> = Promise.resolve();
  return {
    request: (_name: string, task: () => Promise<unknown>) => {
      const turn = last.then(task);
      last = turn.catch(() => undefined);
      return turn;
    },
  };
}

/** The application as it starts: what a page had in mind is gone, what the device kept is there. */
async function start(person = 'ida', garage = 'g1') {
  vi.stubGlobal('navigator', { locks: locks() });
  setActivePinia(createPinia());
  useAccount().me = {
    garage: { id: garage, locale: 'en-GB' },
    garages: [{ id: garage }],
    user: { id: person },
  } as unknown as Me;
  const outbox = useOutbox();
  await outbox.look();
  return outbox;
}

const begun = (id: string): [Begun, Doing] => [
  {
    id,
    garage: 'g1',
    startedMs: Date.now(),
    car: { id: 'c', name: 'c' },
    outlet: { id: 'o', name: 'o' },
    adapters: [],
    stall: null,
    note: '',
    question: null,
    visit: null,
  },
  { kind: 'begin', startedMs: Date.now(), body: { outlet: 'o', vehicle: 'c', adapters: [] } },
];

const reading = (kw: number, t_s: number) => ({ kind: 'reading', reading: { client_id: ulid(), t_s, kw } }) as const;

/** Waits until a page does nothing more by itself. */
async function quiet(outbox: Awaited<ReturnType<typeof start>>): Promise<void> {
  for (let still = 0; still < 5; still = outbox.isSending ? 0 : still + 1) {
    await new Promise((resolve) => setTimeout(resolve, 0));
  }
}

/** Sends until nothing waits, or nothing more can go. */
async function settle(outbox: Awaited<ReturnType<typeof start>>): Promise<void> {
  for (let i = 0; i < 20; i++) {
    await outbox.send();
    if (!outbox.isSending && outbox.waiting.length === 0) {
      return;
    }
  }
}

describe('what is done without a network', () => {
  it('waits on the device through a restart, and reaches the server in order, once', async () => {
    let outbox = await start();
    const id = ulid();
    server.isReachable = false;
    await outbox.begin(...begun(id));
    const first = reading(50, 60);
    const second = reading(60, 120);
    await outbox.add(id, first);
    await outbox.add(id, second);
    expect(server.begun).toEqual([]);

    outbox = await start();
    expect(outbox.waiting).toHaveLength(3);
    server.isReachable = true;
    await settle(outbox);
    expect(outbox.waiting).toEqual([]);
    expect(server.came).toEqual([first.reading.client_id, second.reading.client_id]);
  });

  it('is on the device when the server has it, though nobody has asked for it there', async () => {
    const outbox = await start();
    const id = ulid();
    const taken = reading(50, 60);
    await outbox.begin(...begun(id));
    await outbox.add(id, taken);
    await settle(outbox);
    const path = `ida g1 /api/sessions/${id}`;
    expect((await (await db()).get('kept', `${path}/readings`))?.body).toEqual({ count: 1, readings: [taken.reading] });
    expect((await (await db()).get('kept', path))?.body).toEqual({ session: { id } });
  });

  it('is not kept for somebody who signed out while it was on its way', async () => {
    const outbox = await start();
    const answer = server.answer.bind(server);
    server.answer = (...call) => {
      useAccount().me = null;
      return answer(...call);
    };
    await outbox.begin(...begun(ulid()));
    await quiet(outbox);
    expect(server.begun).toHaveLength(1);
    expect(await (await db()).getAllKeys('kept')).toEqual([]);
  });

  it('stands once though an answer was lost on the way back', async () => {
    const outbox = await start();
    const id = ulid();
    let lost = 2;
    server.losesAnswer = () => lost-- > 0;
    await outbox.begin(...begun(id));
    await outbox.add(id, reading(50, 60));
    await settle(outbox);
    expect(server.begun).toEqual([id]);
    expect(server.readings.size).toBe(1);
  });

  it('waits for whoever has to sign in again', async () => {
    const outbox = await start();
    const id = ulid();
    await outbox.begin(...begun(id));
    await settle(outbox);
    server.isSignedOut = true;
    await outbox.add(id, reading(50, 60));
    await outbox.send();
    expect(outbox.waiting).toHaveLength(1);
    expect(outbox.refused).toEqual([]);
    server.isSignedOut = false;
    await settle(outbox);
    expect(server.readings.size).toBe(1);
  });

  it('keeps what the server will not have, with its reason, and sends the rest', async () => {
    const outbox = await start();
    const [one, other] = [ulid(), ulid()];
    await outbox.begin(...begun(one));
    await outbox.begin(...begun(other));
    server.isReachable = false;
    await outbox.add(one, reading(10, 10));
    await outbox.add(one, reading(9999, 20));
    await outbox.add(one, reading(30, 30));
    await outbox.add(other, reading(40, 40));
    server.isReachable = true;
    await settle(outbox);
    expect([...server.readings.values()].map((r) => r.kw).toSorted()).toEqual([10, 30, 40]);
    expect(outbox.refused.map((a) => [a.kind === 'reading' ? a.reading.kw : null, a.refused])).toEqual([
      [9999, 'Too much'],
    ]);
    await outbox.drop();
    expect(outbox.acts).toEqual([]);
  });

  it('takes back what has not been sent without telling the server', async () => {
    const outbox = await start();
    const id = ulid();
    await outbox.begin(...begun(id));
    await settle(outbox);
    // The device knows that it has no network, and does not try.
    vi.stubGlobal('navigator', { ...navigator, onLine: false });
    const slip = reading(50, 60);
    await outbox.add(id, slip);
    const isIt = (a: { kind: string }) => a.kind === 'reading';
    expect(await outbox.withdraw(isIt)).toBe(true);
    expect(await outbox.withdraw(isIt)).toBe(false);
    vi.stubGlobal('navigator', { ...navigator, onLine: true });
    await settle(outbox);
    expect(server.came).toEqual([]);
  });

  it('says when the device has no room, and forgets nothing that it had', async () => {
    const outbox = await start();
    const id = ulid();
    server.isReachable = false;
    await outbox.begin(...begun(id));
    const add = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(outbox.add(id, reading(50, 60))).rejects.toThrow();
    expect(outbox.isFull).toBe(true);
    add.mockRestore();
    await outbox.add(id, reading(50, 60));
    expect(outbox.isFull).toBe(false);
    expect(outbox.waiting).toHaveLength(2);
  });

  it('begins with all of it, or not at all', async () => {
    const outbox = await start();
    server.isReachable = false;
    const real = IDBObjectStore.prototype.add;
    let room = 1;
    const add = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (this: IDBObjectStore, value) {
      if (room-- <= 0) {
        throw new DOMException('full', 'QuotaExceededError');
      }
      return real.call(this, value);
    });
    const plugged: Doing = { kind: 'event', event: { client_id: ulid(), t_s: 0, code: 'plugged', detail: null } };
    await expect(outbox.begin(...begun(ulid()), plugged)).rejects.toThrow();
    add.mockRestore();
    await outbox.look();
    expect(outbox.acts).toEqual([]);
    expect(await outbox.begunHere()).toEqual([]);
    await outbox.begin(...begun(ulid()), plugged);
    expect(outbox.acts.map((a) => a.kind)).toEqual(['begin', 'event']);
  });
});

/** One of every kind; what it takes is sent as multipart, so a photograph stands for itself. */
const ACTS: Record<Doing['kind'], Doing> = {
  begin: begun('x')[1],
  reading: reading(50, 60),
  forget: { kind: 'forget', clientId: 'r' },
  event: { kind: 'event', event: { client_id: 'e', t_s: 1, code: 'throttled', detail: null } },
  forgetEvent: { kind: 'forgetEvent', clientId: 'e' },
  photo: { kind: 'photo', id: 'p', tS: 1, file: new Blob(['x']) },
  correct: { kind: 'correct', fields: { note: 'wet' } },
  finish: { kind: 'finish', tS: 9 },
  discard: { kind: 'discard' },
};
/** What becomes of an act, whichever it is, by what the server says; 0 where it says nothing. */
const BECOMES: Record<number, 'gone' | 'waits' | 'refused'> = {
  200: 'gone',
  201: 'gone',
  204: 'gone',
  400: 'refused',
  401: 'waits',
  403: 'refused',
  404: 'refused',
  409: 'refused',
  410: 'refused',
  412: 'waits',
  413: 'refused',
  419: 'waits',
  422: 'refused',
  429: 'waits',
  500: 'waits',
  503: 'waits',
  0: 'waits',
};

describe('every act against every answer', () => {
  const table = Object.keys(ACTS).flatMap((kind) =>
    Object.entries(BECOMES).map(([status, what]) => [kind as Doing['kind'], Number(status), what] as const),
  );
  it.each(table)('%s, answered %i: %s', async (kind, status, what) => {
    const outbox = await start();
    const id = ulid();
    server.isReachable = status !== 0;
    server.answers = status;
    await outbox.add(id, ACTS[kind]);
    await outbox.send();
    await quiet(outbox);

    expect([outbox.waiting.length, outbox.refused.length]).toEqual(
      { gone: [0, 0], waits: [1, 0], refused: [0, 1] }[what],
    );
    expect(outbox.refused.map((a) => a.refused)).toEqual(what === 'refused' ? ['So it is'] : []);
  });
});

describe('several people on one device', () => {
  it('nobody sees or sends what waits for another, and each finds their own again', async () => {
    const [hers, his] = [ulid(), ulid()];
    server.isReachable = false;
    let outbox = await start('ida');
    await outbox.begin(...begun(hers));
    await outbox.add(hers, reading(50, 60));
    await quiet(outbox);

    outbox = await start('bram');
    expect([outbox.waiting, outbox.of(hers), await outbox.begunHere()]).toEqual([[], [], []]);
    await outbox.begin(...begun(his));
    server.isReachable = true;
    await settle(outbox);
    expect(server.begun).toEqual([his]);

    outbox = await start('ida');
    expect((await outbox.begunHere()).map((b) => b.id)).toEqual([hers]);
    await settle(outbox);
    expect(server.begun).toEqual([his, hers]);
    expect(server.readings.size).toBe(1);
    outbox = await start('bram');
    expect((await outbox.begunHere()).map((b) => b.id)).toEqual([his]);
  });

  it('what waits for another garage of the same person waits until they stand there again', async () => {
    server.isReachable = false;
    let outbox = await start('ida', 'g1');
    await outbox.begin(...begun(ulid()));
    await quiet(outbox);
    server.isReachable = true;
    outbox = await start('ida', 'g2');
    await settle(outbox);
    expect([outbox.waiting, server.begun]).toEqual([[], []]);
    outbox = await start('ida', 'g1');
    await settle(outbox);
    expect(server.begun).toHaveLength(1);
  });

  it('what an older version wrote down goes to the first who is at home in its garage, and to nobody else', async () => {
    const database = await db();
    const [old, [session, begin]] = [ulid(), begun(ulid())];
    await database.add('acts', { ...begin, session: old, garage: 'g1' });
    await database.put('begun', { ...session, id: old });
    server.isReachable = false;

    let outbox = await start('stranger', 'g9');
    await outbox.start();
    await quiet(outbox);
    expect([outbox.waiting, await outbox.begunHere()]).toEqual([[], []]);
    outbox = await start('ida');
    await outbox.start();
    await quiet(outbox);
    expect([outbox.waiting.length, (await outbox.begunHere()).map((b) => b.id)]).toEqual([1, [old]]);
    outbox = await start('bram');
    await outbox.start();
    await quiet(outbox);
    expect([outbox.waiting, await outbox.begunHere()]).toEqual([[], []]);
  });
});

describe('200 histories of chance', () => {
  it.each(Array.from({ length: 200 }, (_, i) => i + 1))(
    'history %i: the server holds what was typed, in order, once',
    async (seed) => {
      const chance = chances(seed);
      let outbox = await start();
      const id = ulid();
      await outbox.begin(...begun(id));
      /** What the driver typed and did not take back, in the order it was typed. */
      let typed: { client_id: string; kw: number; t_s: number }[] = [];
      let notes = 0;
      server.losesAnswer = () => chance() < 0.25;

      for (let step = 0; step < 14; step++) {
        const roll = chance();
        if (roll < 0.5) {
          const act = reading(Math.round(chance() * 300), step * 30);
          await outbox.add(id, act);
          typed.push(act.reading);
        } else if (roll < 0.6 && typed.length > 0) {
          // Taken back: out of the queue where it waits, else from the server.
          const gone = typed[Math.floor(chance() * typed.length)];
          typed = typed.filter((r) => r !== gone);
          const clientId = gone?.client_id ?? '';
          if (!(await outbox.withdraw((a) => a.kind === 'reading' && a.reading.client_id === clientId))) {
            await outbox.add(id, { kind: 'forget', clientId });
          }
        } else if (roll < 0.68) {
          await outbox.add(id, {
            kind: 'event',
            event: { client_id: ulid(), t_s: step, code: 'throttled', detail: null },
          });
          notes++;
        } else if (roll < 0.8) {
          server.isReachable = !server.isReachable;
        } else if (roll < 0.9) {
          await outbox.send();
        } else {
          // The page is gone; what it had asked may have reached the server, with the answer lost.
          await quiet(outbox);
          outbox = await start();
        }
      }

      server.isReachable = true;
      server.losesAnswer = () => false;
      outbox = await start();
      await settle(outbox);
      expect(outbox.acts).toEqual([]);
      const held = server.came.filter((c) => server.readings.has(c));
      expect(held).toEqual(typed.map((r) => r.client_id));
      expect(held.map((c) => server.readings.get(c)?.kw)).toEqual(typed.map((r) => r.kw));
      expect(server.events.size).toBe(notes);
      expect(server.begun).toEqual([id]);
    },
  );
});
