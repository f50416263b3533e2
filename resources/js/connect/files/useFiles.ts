import { useTimeoutPoll } from '@vueuse/core';
import { computed, ref } from 'vue';
import { api, ApiError, ask, wordsOf, type Import, type ImportLook, type Mapping } from '@/api/client';
import { inPieces } from '@/api/pieces';
import { isNobodyWorking } from '@/api/worker';

const POLL_MS = 1000;

/** How often to ask whether a large file has been checked; looking earlier would check it once more. */
const MOST_WAITS = 120;

/** How a file is to be read, when it began, or which instrument wrote it. */
interface Saying {
  mapping?: Mapping;
  shift_s?: number;
  instrument?: string;
}

const UNDER_WAY = ['waiting', 'running', 'stopping'];

/**
 * The readings files of a session: they arrive in pieces, are looked at, and taken beside the server.
 *
 * @param onIn the session holds other readings now, and they are being judged
 * @param onTaken it holds other readings, and they are judged
 */
export function useFiles(session: string, onIn: () => void, onTaken: () => void) {
  const imports = ref<Import[]>([]);
  /** The one that is looked at before it is taken. */
  const look = ref<{ file: Import; look: ImportLook } | null>(null);
  const rejected = ref<Record<string, ImportLook['rejected']>>({});
  const isSending = ref(false);
  /** Why the way in which somebody says it is to be read cannot be. */
  const refusal = ref('');
  /** What went wrong with the file that is looked at; it can be tried again. */
  const trouble = ref('');
  /** One after the other: what is said last stands. */
  let before: Promise<void> = Promise.resolve();
  /** What was said of each file and did not reach the server; it goes with what is said next. */
  const unheard = new Map<string, Saying>();

  const path = (id: string) => ({ params: { path: { file: id } } });
  const put = (file: Import): Import => {
    const known = imports.value.findIndex((i) => i.id === file.id);
    imports.value = known < 0 ? [...imports.value, file] : imports.value.map((i, at) => (at === known ? file : i));
    return file;
  };
  const isUnderWay = computed(() => imports.value.some((i) => UNDER_WAY.includes(i.state)));
  const isJudging = computed(() => imports.value.some((i) => !i.is_judged));
  const waits = ref(0);
  /** The report is fetched again when this is over: asking meanwhile would check everything once more. */
  const isAwaited = computed(() => isUnderWay.value || waits.value > 0);
  /** Something waits, and nobody has been there for it. */
  const isNobodyThere = computed(
    () =>
      imports.value.some((i) => i.state === 'waiting' && isNobodyWorking(i.worker_seen_s)) &&
      !imports.value.some((i) => i.state === 'running'),
  );

  async function list(): Promise<void> {
    const wasAwaited = isAwaited.value;
    imports.value = (await ask(api.GET('/sessions/{session}/imports', { params: { path: { session } } }))).imports;
    if (isUnderWay.value) {
      poll.resume();
    } else if (isJudging.value && waits.value < MOST_WAITS) {
      if (waits.value++ === 0) {
        onIn();
      }
      poll.resume();
    } else {
      poll.pause();
      waits.value = 0;
      if (wasAwaited) {
        onTaken();
      }
    }
  }
  // In silence: what went wrong with a reading meanwhile stays told, and the next look may find the server again.
  const poll = useTimeoutPoll(() => list().catch(() => undefined), POLL_MS, { immediate: false });

  /** One of ours that needs no question is taken at once. */
  async function send(file: File, isEmpty: boolean): Promise<Import | null> {
    isSending.value = true;
    try {
      const begun = imports.value.find((i) => i.state === 'arriving' && i.name === file.name && i.bytes === file.size);
      let at = put(
        begun ??
          (await ask(
            api.POST('/sessions/{session}/imports', {
              params: { path: { session } },
              body: { name: file.name, bytes: file.size },
            }),
          )),
      );
      at = await inPieces(file, at, async (piece, from) =>
        put(
          await ask(
            api.PUT('/imports/{file}/piece', {
              params: { path: { file: at.id }, query: { from } },
              headers: { 'Content-Type': 'application/octet-stream' },
              body: '',
              bodySerializer: () => piece,
            }),
          ),
        ),
      );
      if (at.mapping_from === 'ours' && at.shift_s === 0 && isEmpty) {
        const seen = await ask(api.GET('/imports/{file}/look', path(at.id)));
        if (seen.problem === null) {
          return await start(at);
        }
      }
      await show(at);
      return null;
    } finally {
      isSending.value = false;
    }
  }

  async function show(file: Import): Promise<void> {
    refusal.value = trouble.value = '';
    look.value = {
      file: { ...file, ...unheard.get(file.id) },
      look: await ask(api.GET('/imports/{file}/look', path(file.id))),
    };
  }

  /** Looks at a file again, as it was left. */
  async function open(file: Import): Promise<void> {
    await show(file);
    if (unheard.has(file.id)) {
      await tell({});
    }
  }

  /** Applies what was said to the file that is looked at, and previews it again unless it was closed meanwhile. */
  function tell(said: Saying): Promise<void> {
    const id = look.value?.file.id;
    const turn = before.then(async () => {
      if (id === undefined) {
        return;
      }
      const earlier = unheard.get(id);
      const body = { ...earlier, ...said };
      unheard.set(id, body);
      const isLookedAt = () => look.value?.file.id === id;
      try {
        const told = put(await ask(api.PUT('/imports/{file}', { ...path(id), body })));
        unheard.delete(id);
        trouble.value = '';
        if (isLookedAt()) {
          await show(told);
        }
        refusal.value = '';
      } catch (e) {
        const isRefused = e instanceof ApiError && e.status === 422;
        if (isRefused && earlier) {
          unheard.set(id, earlier);
        } else if (isRefused) {
          unheard.delete(id);
        }
        if (!isLookedAt()) {
          throw e;
        }
        (isRefused ? refusal : trouble).value = wordsOf(e);
      }
    });
    before = turn.catch(() => undefined);
    return turn;
  }

  /** Adds the file that is looked at, read as was said last; null if it could not be. */
  async function take(): Promise<Import | null> {
    await before;
    const file = look.value?.file;
    if (file && unheard.has(file.id)) {
      await tell({});
    }
    if (!file || refusal.value !== '' || unheard.has(file.id)) {
      return null;
    }
    try {
      return await start(file);
    } catch (e) {
      trouble.value = wordsOf(e);
      return null;
    }
  }

  async function start(file: Import): Promise<Import> {
    const started = put(await ask(api.POST('/imports/{file}/start', path(file.id))));
    look.value = null;
    if (started.state === 'done' || started.state === 'failed') {
      if (started.rejected_count > 0) {
        await listRejected(started);
      }
      onTaken();
    } else {
      poll.resume();
    }
    return started;
  }

  async function listRejected(file: Import): Promise<void> {
    rejected.value = {
      ...rejected.value,
      [file.id]: (await ask(api.GET('/imports/{file}/look', path(file.id)))).rejected,
    };
  }

  const stop = async (file: Import): Promise<void> =>
    void put(await ask(api.POST('/imports/{file}/stop', path(file.id))));

  async function takeBack(file: Import): Promise<void> {
    await ask(api.DELETE('/imports/{file}', path(file.id)));
    imports.value = imports.value.filter((i) => i.id !== file.id);
    unheard.delete(file.id);
    if (look.value?.file.id === file.id) {
      look.value = null;
    }
    if (file.understood > 0) {
      onTaken();
    }
  }

  return {
    imports,
    look,
    refusal,
    trouble,
    rejected,
    isSending,
    isAwaited,
    isNobodyThere,
    list,
    send,
    open,
    tell,
    take,
    start,
    stop,
    takeBack,
  };
}

export type Files = ReturnType<typeof useFiles>;
