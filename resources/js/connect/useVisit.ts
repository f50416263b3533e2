import { ref, watch, type Ref } from 'vue';
import { api, ask, wordsOf } from '@/api/client';
import type { components } from '@/api/schema';

export type Visit = components['schemas']['Steps'];
export type VisitStep = components['schemas']['Step'];
export type Rung = components['schemas']['Rung'];
export type Question = components['schemas']['StepsQuestion'];

/** What to do and what to expect beside the car, for one chain. Kept on the device, so that it is there without a network. */
export function useVisit(question: Ref<Question | null>) {
  const visit = ref<Visit | null>(null);
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
      const found = await ask(api.POST('/steps', { body }));
      if (mine === asked) {
        visit.value = found;
      }
    } catch (e) {
      if (mine === asked) {
        error.value = wordsOf(e);
      }
    }
  }

  watch(question, look, { immediate: true, deep: true });
  return { visit, error };
}
