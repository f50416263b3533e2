import { computed, ref, watch } from 'vue';
import { api, ask, wordsOf, type Vetting } from '@/api/client';
import type { components } from '@/api/schema';
import { useDraft } from '@/stores/drafts';
import { offlineSince } from '@/offline/network';

export type Answer = 'yes' | 'no' | 'not_said';
export type Question = components['schemas']['VettingQuestion'];

export interface Seen {
  /** The wish that is looked at again; empty for an adapter that isn't one yet. */
  wish: string;
  name: string;
  input: string;
  output: string;
  current: string;
  max_v: number | null;
  continuous_a: number | null;
  boost_a: number | null;
  boost_minutes: number | null;
  max_kw: number | null;
  price: string;
  sold_for: string;
  /** The protocols that an active adapter translates between; a passive one has none. */
  from: string;
  to: string;
  answers: Record<string, Answer>;
  /** The screen: 0 is its label, then a question each, then the verdict. */
  at: number;
}

const fresh = (): Seen => ({
  wish: '',
  name: '',
  input: '',
  output: '',
  current: '',
  max_v: null,
  continuous_a: null,
  boost_a: null,
  boost_minutes: null,
  max_kw: null,
  price: '',
  sold_for: 'not_said',
  from: '',
  to: '',
  answers: {},
  at: 0,
});

/** An adapter that somebody looks at in a shop: typed here, kept on the device, judged by the server. */
export function useShop() {
  const seen = ref<Seen>(fresh());
  const kept = useDraft('shop', seen, 'device');
  const questions = ref<Question[]>([]);
  const verdict = ref<Vetting | null>(null);
  const error = ref('');

  async function load(): Promise<void> {
    const answer = await ask(api.GET('/vetting')).catch(() => null);
    questions.value = answer?.questions ?? questions.value;
  }
  void load();

  const isJudging = computed(() => questions.value.length > 0 && seen.value.at > questions.value.length);
  /** As a piece is written. */
  const spec = computed<Record<string, unknown>>(() => {
    const s = seen.value;
    const plate = {
      max_v: s.max_v,
      continuous_a: s.continuous_a,
      boost_a: s.boost_a,
      boost_minutes: s.boost_minutes,
      max_kw: s.max_kw,
    };
    return {
      input: s.input,
      output: s.output,
      current: s.current || null,
      plate,
      ...(s.price.trim() === '' ? {} : { price: s.price.trim() }),
      ...(s.from && s.to ? { translates: { from: [s.from], to: [s.to] } } : {}),
      vetting: { ...s.answers, sold_for: s.sold_for },
    };
  });

  async function judge(): Promise<void> {
    error.value = '';
    try {
      const name = seen.value.name.trim();
      verdict.value = await ask(api.POST('/vetting', { body: { ...(name ? { name } : {}), spec: spec.value } }));
    } catch (e: unknown) {
      verdict.value = null;
      error.value = wordsOf(e);
    }
  }

  /** The verdict comes with the network: what was typed without one is judged when it is back. */
  watch(
    [isJudging, offlineSince],
    ([judging]) => {
      if (judging) {
        void judge();
      }
    },
    { immediate: true },
  );

  function startOver(): void {
    seen.value = fresh();
    verdict.value = null;
    error.value = '';
    kept.drop();
  }

  return { seen, questions, verdict, error, isJudging, spec, startOver };
}
