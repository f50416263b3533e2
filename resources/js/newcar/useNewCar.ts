import { useDebounceFn, useLocalStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { api, ask, wordsOf } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { own } from '@/stores/own';
import { say } from '@/words/say';

export type CarQuestion = components['schemas']['CarQuestion'];
export type NewCar = components['schemas']['NewCar'];
export type NewCarRow = NewCar['rows'][number];

export interface Onboard {
  kw: number | null;
  phases: number | null;
  min_v: number | null;
  max_v: number | null;
}

/** What a person has said of a car so far; null is "I don't know". */
export interface Answers {
  name: string;
  faces: string[];
  languages: string[] | null;
  pack_class: string | null;
  usable_kwh: number | null;
  peak_kw: number | null;
  inlet_max_v: number | null;
  onboard: Onboard;
  /** Questions that were passed, with an answer or without. */
  passed: CarQuestion[];
}

const nothing = (): Answers => ({
  name: '',
  faces: [],
  languages: null,
  pack_class: null,
  usable_kwh: null,
  peak_kw: null,
  inlet_max_v: null,
  onboard: { kw: null, phases: null, min_v: null, max_v: null },
  passed: [],
});

const ALL: CarQuestion[] = ['inlet', 'language', 'pack', 'energy', 'peak', 'onboard'];

/** A new car while it is being told; what was said outlives a reload. */
export function useNewCar() {
  const account = useAccount();
  const edit = useEdit();
  const answers = useLocalStorage<Answers>(own(`new-car-${account.me?.garage?.id ?? ''}`), nothing(), {
    mergeDefaults: true,
  });
  const draft = ref<NewCar | null>(null);
  const error = ref('');
  const isBusy = ref(false);

  const asks = computed(() => draft.value?.asks ?? ALL);
  const step = ref<CarQuestion>(asks.value.find((q) => !answers.value.passed.includes(q)) ?? 'inlet');
  const isLast = computed(() => asks.value.indexOf(step.value) === asks.value.length - 1);
  let asked = 0;
  /** The newest question that was answered: what comes later to an older one is no news. */
  let answered = 0;

  async function work(): Promise<void> {
    const mine = ++asked;
    try {
      const { faces, languages, pack_class, usable_kwh, peak_kw, inlet_max_v, onboard } = answers.value;
      const found = await ask(
        api.POST('/new-car', { body: { faces, languages, pack_class, usable_kwh, peak_kw, inlet_max_v, onboard } }),
      );
      if (mine > answered) {
        answered = mine;
        draft.value = found;
        error.value = '';
      }
    } catch (e) {
      if (mine > answered) {
        answered = mine;
        error.value = wordsOf(e);
      }
    }
  }
  watch(answers, useDebounceFn(work, 120), { deep: true });

  function tell(changes: Partial<Answers>): void {
    answers.value = { ...answers.value, ...changes };
  }

  /** On to the next question that makes a difference. */
  async function next(): Promise<void> {
    const passed = [...new Set([...answers.value.passed, step.value])];
    answers.value = { ...answers.value, passed };
    await work();
    const at = asks.value.indexOf(step.value);
    step.value = asks.value[Math.min(at + 1, asks.value.length - 1)] ?? 'inlet';
  }

  /** The car is kept as it is known; what was said here is done with. Null where it could not be. */
  async function keep(): Promise<string | null> {
    isBusy.value = true;
    try {
      await work();
      if (!draft.value?.plate || error.value !== '') {
        return null;
      }
      const name = answers.value.name.trim() || say('kit.new_car_name');
      const id = await edit.create('vehicles', { name, blurb: '', spec: draft.value.plate as Record<string, unknown> });
      answers.value = nothing();
      return id;
    } catch (e) {
      error.value = wordsOf(e);
      return null;
    } finally {
      isBusy.value = false;
    }
  }

  void work();

  return { answers, draft, asks, step, isLast, error, isBusy, tell, next, keep };
}
