import { useIntervalFn } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, toRaw } from 'vue';
import { api, ApiError, ask, wordsOf, type Reading, type Report } from '@/api/client';
import { scaledDown } from '@/ui/photo';
import { ulid } from '@/api/ulid';
import type { Act, EventCode } from '@/offline/pendingActions';
import type { Begun } from '@/offline/db';
import { afterNews } from '@/offline/serverReadings';
import { useOutbox, type News } from '@/stores/outbox';
import { useUndo } from '@/stores/undo';
import { say } from '@/words/say';
import { stateOf, valuesOf } from './sessionState';

/** How often an open session is fetched again (ms). */
const AGAIN_MS = 10_000;
/** Who waits longer than this for a session is told why: the server may be judging a file that is on its way in (ms). */
const LONG_MS = 1_000;

/** A session as it is now: what the server has, and what this device has done since. */
export function useSession(id: string) {
  const outbox = useOutbox();
  const undo = useUndo();
  const report = ref<Report | null>(null);
  const begun = ref<Begun | null>(null);
  const onServer = ref<Reading[]>([]);
  const serverCount = ref(0);
  const error = ref<ApiError | null>(null);
  /** A large file is on its way in: what it means is told when it is there. */
  const isFileMoving = ref(false);
  const isLong = ref(false);
  let isLooking = false;
  /** Grows whenever there may be other photographs. */
  const photoTurn = ref(0);
  /** How far the server's clock is ahead of this device's (ms). */
  const skewMs = ref(0);
  const nowMs = ref(Date.now());
  useIntervalFn(() => (nowMs.value = Date.now()), 1000);

  const acts = computed(() => outbox.of(id));
  const of = <K extends Act['kind']>(kind: K) =>
    acts.value.filter((a): a is Extract<Act, { kind: K }> => a.kind === kind);

  // Where it began here, this device's own clock counts: it may be wrong, its seconds are right.
  const startedMs = computed(
    () => begun.value?.startedMs ?? (report.value ? Date.parse(report.value.session.started_at) - skewMs.value : null),
  );
  const tS = () => (startedMs.value === null ? 0 : Math.max(0, Math.round((Date.now() - startedMs.value) / 100) / 10));
  const elapsedS = computed(() => (startedMs.value === null ? 0 : Math.max(0, (nowMs.value - startedMs.value) / 1000)));

  const state = computed(() =>
    stateOf(
      { report: report.value, begun: begun.value, onServer: onServer.value, serverCount: serverCount.value },
      acts.value,
    ),
  );
  const has = (code: EventCode): boolean => state.value.events.some((e) => e.code === code);

  async function told(task: () => Promise<void>): Promise<boolean> {
    error.value = null;
    try {
      await task();
      return true;
    } catch (e) {
      error.value = e instanceof ApiError ? e : new ApiError(0, outbox.isFull ? say('queue.full') : wordsOf(e));
      return false;
    }
  }

  function hears(news: News): void {
    if (news.session !== id) {
      return;
    }
    if (news.report) {
      show(news.report);
    }
    if (news.isPhoto) {
      photoTurn.value++;
    }
    if (report.value && (news.judged ?? news.events)) {
      report.value = { ...report.value, ...news.judged, ...news.events };
    }
    ({ onServer: onServer.value, serverCount: serverCount.value } = afterNews(
      { onServer: onServer.value, serverCount: serverCount.value },
      news,
    ));
    if (news.judged) {
      void refresh().catch(() => undefined);
    }
  }

  function show(found: Report): void {
    report.value = found;
    skewMs.value = Date.parse(found.now) - Date.now();
  }

  async function refresh(): Promise<void> {
    const list = await ask(api.GET('/sessions/{session}/readings', { params: { path: { session: id } } }));
    onServer.value = list.readings;
    serverCount.value = list.count;
  }

  /** What the server says, else what this device knows of it. */
  async function look(): Promise<void> {
    await outbox.look().catch(() => undefined);
    begun.value = (await outbox.begunHere().catch(() => [])).find((b) => b.id === id) ?? null;
    const isUnsent = of('begin').length > 0;
    const long = setTimeout(() => (isLong.value = !isUnsent), LONG_MS);
    try {
      if (!isUnsent) {
        show(await ask(api.GET('/sessions/{session}', { params: { path: { session: id } } })));
        await refresh();
        if (begun.value && state.value.isFinished && acts.value.length === 0) {
          await outbox.forgetBegun(id);
        }
      }
    } catch (e) {
      if (!begun.value) {
        throw e;
      }
    } finally {
      clearTimeout(long);
      isLong.value = false;
    }
  }

  /**
   * Readings of a logger, of the bench or of another device arrive by asking again: a stream would hold one of the few
   * processes of a small server for every screen that looks, and end with every tunnel a phone drives through.
   */
  async function lookAgain(): Promise<void> {
    const isAway = document.visibilityState !== 'visible' || outbox.offlineSince !== null;
    if (isAway || isLooking || isFileMoving.value || state.value.isFinished || !report.value) {
      return;
    }
    isLooking = true;
    const path = { params: { path: { session: id } } };
    try {
      const before = serverCount.value;
      await refresh();
      if (serverCount.value !== before && of('reading').length === 0) {
        show(await ask(api.GET('/sessions/{session}', path)));
      }
    } catch {
      // The next look may find it.
    } finally {
      isLooking = false;
    }
  }
  useIntervalFn(() => void lookAgain(), AGAIN_MS);

  /** What was read, at a moment since plugging in. One that is corrected goes when the other is written down. */
  async function take(reading: Omit<Reading, 'client_id'>, replaces?: Reading): Promise<boolean> {
    const client_id = ulid();
    return told(async () => {
      await outbox.add(id, { kind: 'reading', reading: { client_id, ...reading } });
      if (replaces) {
        await withdraw(replaces.client_id);
      }
      undo.done(say('reading.taken'), async () => {
        if (replaces) {
          await take(valuesOf(toRaw(replaces)));
        }
        await forget(client_id);
      });
    });
  }

  /** Takes a reading back: out of the queue where it still waits, else from the server. */
  async function withdraw(clientId: string): Promise<void> {
    const isIt = (a: Act) => a.session === id && a.kind === 'reading' && a.reading.client_id === clientId;
    if (!(await outbox.withdraw(isIt))) {
      await outbox.add(id, { kind: 'forget', clientId });
    }
  }

  async function forget(clientId: string): Promise<void> {
    const old = state.value.readings.find((r) => r.client_id === clientId);
    await told(async () => {
      await withdraw(clientId);
      if (old) {
        undo.done(say('reading.gone'), async () => void (await take(valuesOf(toRaw(old)))));
      }
    });
  }

  async function note(code: EventCode, detail: string | null = null, at = tS()): Promise<string> {
    const client_id = ulid();
    await told(() => outbox.add(id, { kind: 'event', event: { client_id, t_s: at, code, detail } }));
    return client_id;
  }

  /** A photograph of a screen or of a thermometer, at this moment. */
  async function photograph(file: Blob): Promise<void> {
    const photo = ulid();
    await told(async () => {
      const at = tS();
      await outbox.add(id, { kind: 'photo', id: photo, tS: at, file: await scaledDown(file) });
      undo.done(say('event.photo_taken'), () => forgetPhoto(photo));
    });
  }

  async function forgetPhoto(photo: string): Promise<void> {
    await told(async () => {
      if (!(await outbox.withdraw((a) => a.kind === 'photo' && a.id === photo))) {
        await ask(api.DELETE('/photos/{photo}', { params: { path: { photo } } }));
        photoTurn.value++;
      }
    });
  }

  async function forgetEvent(clientId: string): Promise<void> {
    await told(async () => {
      const isIt = (a: Act) => a.session === id && a.kind === 'event' && a.event.client_id === clientId;
      if (!(await outbox.withdraw(isIt))) {
        await outbox.add(id, { kind: 'forgetEvent', clientId });
      }
    });
  }

  const correct = (fields: Extract<Act, { kind: 'correct' }>['fields']): Promise<boolean> =>
    told(() => outbox.add(id, { kind: 'correct', fields }));

  /** Sets right when it began; readings are counted from there and move along. */
  async function setClock(at: Date): Promise<boolean> {
    const isSet = await correct({ started_at: at.toISOString() });
    const here = begun.value;
    if (isSet && here) {
      begun.value = { ...here, startedMs: at.getTime() - skewMs.value };
      await outbox.keepBegun(toRaw(begun.value)).catch(() => undefined);
    } else if (isSet && report.value) {
      const line = { ...report.value.session, started_at: at.toISOString() };
      report.value = { ...report.value, session: line };
    }
    return isSet;
  }

  const finish = (at = tS()): Promise<boolean> => told(() => outbox.add(id, { kind: 'finish', tS: at }));
  const discard = (): Promise<boolean> => told(() => outbox.add(id, { kind: 'discard' }));

  /** Goes on after the end. */
  async function reopen(): Promise<void> {
    await told(async () => {
      if (!(await outbox.withdraw((a) => a.session === id && a.kind === 'finish'))) {
        show(await ask(api.POST('/sessions/{session}/reopen', { params: { path: { session: id } } })));
      }
    });
  }

  async function restore(): Promise<void> {
    await told(async () => {
      if (!(await outbox.withdraw((a) => a.session === id && a.kind === 'discard'))) {
        show(await ask(api.POST('/sessions/{session}/restore', { params: { path: { session: id } } })));
      }
    });
  }

  onBeforeUnmount(outbox.onSent(hears));

  return {
    report,
    begun,
    acts,
    state,
    error,
    elapsedS,
    startedMs,
    skewMs,
    has,
    tS,
    look,
    refresh,
    take,
    forget,
    note,
    photograph,
    photoTurn,
    isFileMoving,
    isLong,
    forgetEvent,
    correct,
    setClock,
    finish,
    discard,
    reopen,
    restore,
    told,
  };
}

export type OpenSession = ReturnType<typeof useSession>;
