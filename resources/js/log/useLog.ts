import { useDocumentVisibility, useIntervalFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ask, wordsOf, type SessionLine } from '@/api/client';

export const FILTERS = ['q', 'vehicle', 'adapter', 'outlet', 'verdict', 'cause', 'unread', 'from', 'to'] as const;
export type Filter = Partial<Record<(typeof FILTERS)[number], string>>;

/** Sessions fetched at once. */
const PAGE = 100;
/** How often a log with open sessions is asked for again (ms). */
const AGAIN_MS = 10_000;

/** The log as it is wanted: what is looked for stands in the address; more comes as one scrolls. */
export function useLog() {
  const route = useRoute();
  const router = useRouter();
  const sessions = shallowRef<SessionLine[] | null>(null);
  const total = ref(0);
  const next = ref<string | null>(null);
  const error = ref('');
  let asked = 0;
  let isAsking = false;

  const filter = computed<Filter>(() =>
    Object.fromEntries(
      FILTERS.flatMap((key) =>
        typeof route.query[key] === 'string' && route.query[key] ? [[key, route.query[key]]] : [],
      ),
    ),
  );
  const isFiltered = computed(() => Object.keys(filter.value).length > 0);

  async function want(changes: Filter): Promise<void> {
    const query = Object.fromEntries(Object.entries({ ...route.query, ...changes }).filter(([, value]) => value));
    await router.replace({ path: route.path, query });
  }

  const showAll = (): Promise<void> => want(Object.fromEntries(FILTERS.map((key) => [key, ''])));

  /** `isQuiet`: nobody asked for it, so nobody is told where it fails. */
  async function page(after: string | null, isQuiet = false): Promise<void> {
    const mine = ++asked;
    isAsking = true;
    try {
      const answer = await ask(
        api.GET('/sessions', { params: { query: { ...filter.value, most: PAGE, ...(after ? { after } : {}) } } }),
      );
      if (mine === asked) {
        sessions.value = after ? [...(sessions.value ?? []), ...answer.sessions] : answer.sessions;
        total.value = answer.total;
        next.value = answer.next;
        error.value = '';
      }
    } catch (e) {
      if (mine === asked && !isQuiet) {
        error.value = wordsOf(e);
      }
    } finally {
      isAsking = false;
    }
  }

  async function more(): Promise<void> {
    if (next.value && !isAsking) {
      await page(next.value);
    }
  }

  watch(filter, () => page(null), { immediate: true });

  // One that is finished on another device is shown so, while somebody looks.
  const seen = useDocumentVisibility();
  useIntervalFn(() => {
    const isOpen = sessions.value?.some((s) => s.finished_at === null) ?? false;
    if (isOpen && seen.value === 'visible' && !isAsking && (sessions.value?.length ?? 0) <= PAGE) {
      void page(null, true);
    }
  }, AGAIN_MS);

  const again = (): Promise<void> => page(null);

  return { sessions, total, next, error, filter, isFiltered, want, showAll, more, again };
}
