import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, ask, type Terms } from '@/api/client';
import { say } from '@/words/say';

export type TermSet = keyof Terms['sets'];

/** The core's names of closed sets, and the driver's assumed need until they say otherwise. */
export const useTerms = defineStore('terms', () => {
  const terms = ref<Terms | null>(null);
  let loading: Promise<void> | null = null;
  let isForVisitor = false;

  /** Asked once; a screen of the frame is shown only when they are here. A garage may say them otherwise than a visitor was told. */
  function load(isVisitor = false): Promise<void> {
    if (isForVisitor !== isVisitor) {
      loading = null;
    }
    isForVisitor = isVisitor;
    loading ??= ask(isVisitor ? api.GET('/visitors/terms') : api.GET('/terms'))
      .then((found) => {
        terms.value = found;
      })
      .catch((e: unknown) => {
        loading = null;
        throw e;
      });
    return loading;
  }

  function known(): Terms {
    if (!terms.value) {
      throw new Error('terms-not-loaded');
    }
    return terms.value;
  }

  const all = (set: TermSet) => known().sets[set];
  const find = (set: TermSet, id: string) => all(set).find((term) => term.id === id);
  /** A name inside a sentence. */
  const words = (set: TermSet, id: string): string => find(set, id)?.words ?? id;
  /** A name standing alone. */
  const title = (set: TermSet, id: string): string => find(set, id)?.title ?? id;
  /** Words for an outcome where there is little room; nothing where the kW say it. */
  const short = (outcome: string): string => known().outcome_short[outcome] ?? '';

  /** A plug or socket as people call it, with what one sees of it; a kind of socket of somebody's own keeps its name. */
  function coupler(id: string): string {
    const one = [...known().couplers, ...known().sockets].find((c) => c.id === id);
    return one ? say('entry.named', one) : id.replace('socket:', '');
  }

  const isLoaded = computed(() => terms.value !== null);

  /** Only the name: "CCS1", "NEMA 14-50". */
  function couplerName(id: string): string {
    const one = [...known().couplers, ...known().sockets].find((c) => c.id === id);
    return one?.name ?? id.replace('socket:', '');
  }

  return { load, isLoaded, known, all, words, title, short, coupler, couplerName };
});
