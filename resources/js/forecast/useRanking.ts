import { ref, watch } from 'vue';
import { api, ask, wordsOf, type Stop } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';

/** Every outlet of the garage as a stop for the car in the rail; asked again when the need changes. */
export function useRanking() {
  const rail = useRail();
  const board = useBoard();
  const forecast = useForecast();
  const garage = useGarage();
  const stops = ref<Stop[]>([]);
  const error = ref('');
  let asked = 0;

  async function load(): Promise<void> {
    const vehicle = rail.pick.vehicle;
    if (!vehicle) {
      return;
    }
    const mine = ++asked;
    try {
      const found = await ask(
        api.POST('/ranking', {
          body: {
            vehicle,
            tour: garage.tour?.id ?? null,
            kit: board.kit,
            policy: board.policy,
            conditions: forecast.conditions,
          },
        }),
      );
      if (mine === asked) {
        stops.value = found.stops;
        error.value = '';
      }
    } catch (e) {
      error.value = wordsOf(e);
    }
  }

  watch(
    [
      () => rail.pick.vehicle,
      () => board.kit,
      () => board.policy,
      () => forecast.conditions,
      // Replaced as a whole when a plate was changed.
      () => garage.sections,
      () => garage.adapters,
      () => garage.vehicles,
    ],
    load,
    { immediate: true },
  );

  return { stops, error };
}
