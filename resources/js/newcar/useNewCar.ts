import { useDebounceFn, useLocalStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { api, ask, wordsOf } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { own } from '@/stores/own';
import { say } from '@/words/say';
import { nothing, said, visitorAnswers, wherever, type Answers, type CarQuestion } from '@/stores/visitorCar';

export type NewCar = components['schemas']['NewCar'];
export type NewCarRow = NewCar['rows'][number];
export type { CarQuestion, Region } from '@/stores/visitorCar';

const ALL: CarQuestion[] = ['inlet', 'language', 'pack', 'energy', 'peak', 'onboard'];

/** A new car while its questions are answered; the answers survive a reload. Without an account they are only on the device. */
export function useNewCar() {
  const account = useAccount();
  const edit = useEdit();
  const isVisitor = account.me === null;
  const answers = isVisitor
    ? visitorAnswers()
    : useLocalStorage<Answers>(own(`new-car-${account.me?.garage?.id ?? ''}`), nothing(), { mergeDefaults: true });
  const draft = ref<NewCar | null>(null);
  const error = ref('');
  /** An answer is on its way: until the next question is there, nothing more is said to this one. */
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
      const found = await ask(
        isVisitor
          ? api.POST('/visitors/new-car', { body: { ...said(answers.value), ...wherever(answers.value) } })
          : api.POST('/new-car', { body: said(answers.value) }),
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

  /** On to the next question that makes a difference, unless somebody goes to another meanwhile. */
  async function next(): Promise<void> {
    const from = step.value;
    answers.value = { ...answers.value, passed: [...new Set([...answers.value.passed, from])] };
    isBusy.value = true;
    await work();
    isBusy.value = false;
    if (step.value === from) {
      const at = asks.value.indexOf(from);
      step.value = asks.value[Math.min(at + 1, asks.value.length - 1)] ?? 'inlet';
    }
  }

  /** The car is kept as it is known; what was said here is done with. Null where it could not be. */
  async function keep(): Promise<string | null> {
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
    }
  }

  void work();

  return { isVisitor, answers, draft, asks, step, isLast, error, isBusy, tell, next, keep };
}
