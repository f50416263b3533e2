import { computed, nextTick, watch, type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { differences } from '@/api/differences';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useForecast } from '@/stores/forecast';
import { useRail } from '@/stores/rail';
import { fromAddress, knownHere, saysAnything, toAddress } from './address';

/** Whether two addresses mean the same, in any order. */
const same = (one: object, other: object): boolean => Object.keys(differences(one, other)).length === 0;

/** Stages whose answers depend on what stands in the address. */
const STAGES = ['board', 'forecast', 'connect'];

/** Keeps what is chosen and wanted in the address, and takes it from there, once the pieces are known. */
export function useAddress(isReady: Ref<boolean>): void {
  const route = useRoute();
  const router = useRouter();
  const rail = useRail();
  const board = useBoard();
  const garage = useGarage();
  const forecast = useForecast();
  /** What is being taken from the address is not a choice to go back from. */
  let isTaking = false;
  const isAddressed = computed(() => isReady.value && STAGES.includes(route.name as string) && !route.params.id);
  const ours = computed(() =>
    toAddress({
      ...rail.pick,
      tour: garage.tour?.id ?? null,
      kit: board.kit,
      policy: board.policy,
      sheet: forecast.sheet,
      need: forecast.changed,
      beside: forecast.beside,
    }),
  );

  /** An address that was opened, or gone back to. */
  watch(
    () => [isAddressed.value, route.fullPath] as const,
    () => {
      if (!isAddressed.value || same(route.query, ours.value)) {
        return;
      }
      if (!saysAnything(route.query)) {
        void router.replace({ query: ours.value });
        return;
      }
      isTaking = true;
      const shown = knownHere(fromAddress(route.query), {
        outlet: (id) => garage.outlet(id) !== undefined,
        vehicle: (id) => garage.vehicle(id) !== undefined,
        adapter: (id, outlet) =>
          garage.adapter(id) !== undefined || garage.outlet(outlet)?.spec.attached_adapter?.id === id,
        tour: (id) => garage.tours.some((t) => t.id === id),
      });
      garage.tourId = shown.tour;
      board.kit = shown.kit as typeof board.kit;
      board.policy = shown.policy as typeof board.policy;
      forecast.sheet = shown.sheet as typeof forecast.sheet;
      forecast.changed = shown.need;
      forecast.beside = shown.beside;
      const { outlet, vehicle, adapters } = shown;
      void rail.choose({ outlet, vehicle, adapters });
      // An address that says it in other words is put into ours, on the spot.
      void nextTick(() => {
        isTaking = false;
        if (isAddressed.value && !same(route.query, ours.value)) {
          void router.replace({ query: ours.value });
        }
      });
    },
    { immediate: true },
  );

  /** Something was chosen or wanted here: a choice can be gone back from, a slider moves on the spot. */
  watch(ours, (now, before) => {
    if (isTaking || !isAddressed.value || same(route.query, now)) {
      return;
    }
    const isSlider = same({ ...now, need: '' }, { ...before, need: '' });
    void (isSlider ? router.replace({ query: now }) : router.push({ query: now }));
  });
}
