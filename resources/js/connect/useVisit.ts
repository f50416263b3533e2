import { computed, ref, watch, type Ref } from 'vue';
import { api, ask, wordsOf } from '@/api/client';
import { offlineSince } from '@/offline/network';
import type { components } from '@/api/schema';

export type Visit = components['schemas']['Steps'];
export type VisitStep = components['schemas']['Step'];
export type Rung = components['schemas']['Rung'];
export type Question = components['schemas']['StepsQuestion'];

/**
 * What to do and what to expect beside the car, for one chain. Kept on the device, so that it is there without a network.
 *
 * @param taken what was taken along; it stands until there is something newer
 */
export function useVisit(question: Ref<Question | null>, taken: Ref<Visit | null> = ref(null)) {
  const found = ref<Visit | null>(null);
  const visit = computed(() => found.value ?? taken.value);
  const error = ref('');
  let asked = '';

  async function look(): Promise<void> {
    const body = question.value;
    const mine = JSON.stringify(body);
    if (!body || mine === asked) {
      return;
    }
    asked = mine;
    error.value = '';
    try {
      const answer = await ask(api.POST('/steps', { body }));
      if (mine === asked) {
        found.value = answer;
      }
    } catch (e) {
      if (mine === asked) {
        error.value = wordsOf(e);
        asked = '';
      }
    }
  }

  watch(question, look, { immediate: true, deep: true });
  watch(offlineSince, (since) => since === null && look());
  return { visit, error };
}
