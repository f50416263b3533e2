import { computed, ref, watch, type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ApiError, ask, type SessionLine } from '@/api/client';

const MOST = 2;

/** Sessions picked for a comparison: two at most, of one car. They are in the address, and may not be on a loaded page. */
export function usePicks(sessions: Ref<SessionLine[] | null>) {
  const route = useRoute();
  const router = useRouter();
  const elsewhere = ref<SessionLine[]>([]);

  const ids = computed(() =>
    typeof route.query.compare === 'string' ? route.query.compare.split(',').filter(Boolean).slice(0, MOST) : [],
  );
  const find = (id: string) => [...(sessions.value ?? []), ...elsewhere.value].find((s) => s.id === id);
  const picked = computed(() => ids.value.map(find).filter((s) => s !== undefined));
  const isPicked = (s: SessionLine): boolean => ids.value.includes(s.id);
  const canPick = (s: SessionLine): boolean =>
    s.finished_at !== null &&
    (isPicked(s) || (picked.value.length < MOST && picked.value.every((p) => p.vehicle.id === s.vehicle.id)));

  function set(wanted: string[]): void {
    void router.replace({ query: { ...route.query, compare: wanted.length > 0 ? wanted.join(',') : undefined } });
  }

  function pick(session: SessionLine): void {
    set(isPicked(session) ? ids.value.filter((id) => id !== session.id) : [...ids.value, session.id]);
  }

  const unpick = (): void => set([]);

  // One that is in the address only: of another garage, or deleted, it is dropped from there.
  watch(
    [ids, sessions],
    async () => {
      const missing = sessions.value === null ? [] : ids.value.filter((id) => !find(id));
      for (const id of missing) {
        try {
          const { session } = await ask(api.GET('/sessions/{session}', { params: { path: { session: id } } }));
          elsewhere.value = [...elsewhere.value, session];
        } catch (e) {
          // Without a network nobody knows: it stays.
          if (e instanceof ApiError && e.status === 404) {
            set(ids.value.filter((one) => one !== id));
          }
        }
      }
    },
    { immediate: true },
  );

  return { picked, isPicked, canPick, pick, unpick };
}
