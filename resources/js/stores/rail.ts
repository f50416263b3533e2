import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, ask, wordsOf, type ChainAnswer, type FitAnswer, type SessionLine } from '@/api/client';
import { useBoard } from './board';
import { useGarage } from './garage';

type Ends = Pick<ChainAnswer, 'outlet' | 'vehicle'> | null | undefined;

/** Whether two chains join the same car to the same outlet, through whatever adapters. */
export const sameEnds = (one: Ends, other: Ends): boolean =>
  one?.outlet === other?.outlet && one?.vehicle === other?.vehicle;

interface Chosen {
  outlet: string | null;
  vehicle: string | null;
  /** Exactly these adapters; null lets the best answer choose. */
  adapters: string[] | null;
}

/** The chain the user is working on: picked on the board, swapped in the rail, forecast, connected and judged. */
export const useRail = defineStore('rail', () => {
  const garage = useGarage();
  const board = useBoard();
  const pick = useSessionStorage<Chosen>('harmozon-rail', { outlet: null, vehicle: null, adapters: null });
  const answer = ref<FitAnswer | null>(null);
  const error = ref('');
  let asked = 0;

  // The pieces are those that the answer is about: until the next one is here, no new name stands beside an old verdict.
  const outlet = computed(() => garage.outlet(answer.value?.outlet ?? pick.value.outlet));
  const vehicle = computed(() => garage.vehicle(answer.value?.vehicle ?? pick.value.vehicle));

  async function refresh(): Promise<void> {
    const { outlet: o, vehicle: v, adapters: exact } = pick.value;
    if (!o || !v || !garage.outlet(o) || !garage.vehicle(v)) {
      answer.value = null;
      return;
    }
    const mine = ++asked;
    error.value = '';
    try {
      const found = await ask(
        api.POST('/fit', {
          body: {
            outlet: o,
            vehicle: v,
            adapters: exact ?? (board.kit === 'none' ? [] : null),
            kit: board.kit === 'buy' ? 'buy' : 'own',
            exact: exact !== null,
            policy: board.policy,
          },
        }),
      );
      if (mine === asked) {
        answer.value = found;
      }
    } catch (e) {
      if (mine === asked) {
        answer.value = null;
        error.value = wordsOf(e);
      }
    }
  }

  function choose(changes: Partial<Chosen>): Promise<void> {
    pick.value = { ...pick.value, adapters: null, ...changes };
    return refresh();
  }

  /** Takes the chain of a recorded session, as far as its pieces are still in the garage. */
  async function follow(session: SessionLine): Promise<void> {
    await garage.load();
    await choose({
      outlet: session.outlet.id,
      vehicle: session.vehicle.id,
      adapters: session.adapters
        .map((a) => a.id)
        .filter((id) => garage.adapter(id) ?? garage.outlet(session.outlet.id)?.spec.attached_adapter?.id === id),
    });
  }

  return { follow, pick, answer, error, outlet, vehicle, choose, refresh };
});
