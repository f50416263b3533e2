import { useTimeoutPoll } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { api, ask, type Arrival } from '@/api/client';
import { inPieces } from '@/api/pieces';
import { isNobodyWorking } from '@/api/worker';

const POLL_MS = 1_500;

/**
 * The document of a garage that is too large to be waited for: sent in pieces, brought in beside the server.
 *
 * @param mayKeep people who may not are told nothing of it
 * @param onIn the garage holds what it brought
 */
export function useArrival(mayKeep: () => boolean, onIn: () => Promise<void>) {
  const arrival = ref<Arrival | null>(null);
  const isSending = ref(false);
  const isUnderWay = computed(() => arrival.value?.state === 'waiting' || arrival.value?.state === 'running');
  const isNobodyThere = computed(
    () => arrival.value?.state === 'waiting' && isNobodyWorking(arrival.value.worker_seen_s),
  );
  const path = (of: Arrival) => ({ params: { path: { arrival: of.id } } });

  async function look(): Promise<void> {
    const wasUnderWay = isUnderWay.value;
    arrival.value = (await ask(api.GET('/garage/arrivals'))).arrival;
    if (isUnderWay.value) {
      poll.resume();
      return;
    }
    poll.pause();
    if (wasUnderWay && arrival.value?.state === 'done') {
      await onIn();
    }
  }
  // What cannot be asked now is asked again.
  const poll = useTimeoutPoll(() => look().catch(() => undefined), POLL_MS, { immediate: false });

  async function send(file: File, replace: boolean): Promise<void> {
    isSending.value = true;
    try {
      const open = arrival.value;
      const isSame = open?.state === 'arriving' && open.name === file.name && open.bytes === file.size;
      const body = { name: file.name, bytes: file.size, replace };
      arrival.value = isSame ? open : await ask(api.POST('/garage/arrivals', { body }));
      const sent = await inPieces(file, arrival.value, async (piece, from) => {
        arrival.value = await ask(
          api.PUT('/garage/arrivals/{arrival}/piece', {
            params: { path: { arrival: arrival.value?.id ?? '' }, query: { from } },
            headers: { 'Content-Type': 'application/octet-stream' },
            body: '',
            bodySerializer: () => piece,
          }),
        );
        return arrival.value;
      });
      arrival.value = await ask(api.POST('/garage/arrivals/{arrival}/start', path(sent)));
      poll.resume();
    } finally {
      isSending.value = false;
    }
  }

  async function remove(): Promise<void> {
    if (arrival.value) {
      await ask(api.DELETE('/garage/arrivals/{arrival}', path(arrival.value)));
      arrival.value = null;
    }
  }

  onMounted(() => {
    if (mayKeep()) {
      void look().catch(() => undefined);
    }
  });

  return { arrival, isSending, isUnderWay, isNobodyThere, send, remove };
}
