import { ref, type Ref } from 'vue';
import { api, ApiError, ask, wordsOf, type Loaded, type Reading, type Report } from '@/api/client';
import { ulid } from '@/api/ulid';
import { useUndo } from '@/stores/undo';
import { say } from '@/words/say';

/** The readings of an open session: taking, loading, taking back. */
export function useReadings(report: Ref<Report>) {
  const undo = useUndo();
  const newest = ref<Reading[]>([]);
  const count = ref(0);
  const error = ref<ApiError | null>(null);
  const loaded = ref<Loaded | null>(null);
  const isBusy = ref(false);
  const path = () => ({ params: { path: { session: report.value.session.id } } });

  async function told(task: () => Promise<void>): Promise<boolean> {
    error.value = null;
    try {
      await task();
      return true;
    } catch (e) {
      error.value = e instanceof ApiError ? e : new ApiError(0, wordsOf(e));
      return false;
    }
  }

  /** An act: no other one begins before it has ended. */
  async function attempt(task: () => Promise<void>): Promise<boolean> {
    isBusy.value = true;
    try {
      return await told(task);
    } finally {
      isBusy.value = false;
    }
  }

  function show(judged: Pick<Report, 'chain' | 'judgement' | 'curve'>): void {
    report.value = { ...report.value, chain: judged.chain, judgement: judged.judgement, curve: judged.curve };
  }

  async function refresh(): Promise<void> {
    const list = await ask(api.GET('/sessions/{session}/readings', path()));
    newest.value = list.readings;
    count.value = list.count;
  }

  /** Shows what is there already. Nobody waits for it: a thumb that presses at once is not refused. */
  const look = () => told(refresh);

  function take(reading: Omit<Reading, 'client_id'>): Promise<boolean> {
    const client_id = ulid();
    return attempt(async () => {
      show(
        await ask(
          api.POST('/sessions/{session}/readings', { ...path(), body: { readings: [{ client_id, ...reading }] } }),
        ),
      );
      await refresh();
      undo.done(say('reading.taken'), () => forget(client_id));
    });
  }

  async function forget(clientId: string): Promise<void> {
    await attempt(async () => {
      const { session } = report.value;
      show(
        await ask(
          api.DELETE('/sessions/{session}/readings/{clientId}', {
            params: { path: { session: session.id, clientId } },
          }),
        ),
      );
      await refresh();
    });
  }

  function load(file: File): Promise<boolean> {
    return attempt(async () => {
      const body = new FormData();
      body.append('file', file);
      const answer = await ask(
        api.POST('/sessions/{session}/readings-file', {
          ...path(),
          body: { file: '' },
          bodySerializer: () => body,
        }),
      );
      loaded.value = answer;
      show(answer);
      await refresh();
      if (answer.added > 0) {
        undo.done(say('file.loaded', { n: answer.added }), () => forgetFile(answer.import));
      }
    });
  }

  async function forgetFile(importId: string): Promise<void> {
    await attempt(async () => {
      const session = report.value.session.id;
      show(
        await ask(
          api.DELETE('/sessions/{session}/readings-file/{import}', { params: { path: { session, import: importId } } }),
        ),
      );
      loaded.value = null;
      await refresh();
    });
  }

  return { newest, count, error, loaded, isBusy, look, take, load, attempt };
}
