import { computed, watch, type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { same } from '@/api/differences';
import { useBoard } from '@/stores/board';
import { useForecast } from '@/stores/forecast';
import { useRail } from '@/stores/rail';
import { fromAddress, saysAnything, toAddress } from './address';

/** Stages whose answers depend on what stands in the address. */
const STAGES = ['board', 'forecast', 'connect'];

/** Keeps what is chosen and wanted in the address, and takes it from there, once the pieces are known. */
export function useAddress(isReady: Ref<boolean>): void {
  const route = useRoute();
  const router = useRouter();
  const rail = useRail();
  const board = useBoard();
  const forecast = useForecast();
  const isAddressed = computed(() => isReady.value && STAGES.includes(route.name as string) && !route.params.id);
  const ours = computed(() =>
    toAddress({
      ...rail.pick,
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
      const shown = fromAddress(route.query);
      board.kit = shown.kit as typeof board.kit;
      board.policy = shown.policy as typeof board.policy;
      forecast.sheet = shown.sheet as typeof forecast.sheet;
      forecast.changed = shown.need;
      forecast.beside = shown.beside;
      const { outlet, vehicle, adapters } = shown;
      void rail.choose({ outlet, vehicle, adapters });
    },
    { immediate: true },
  );

  /** Something was chosen or wanted here: a choice can be gone back from, a slider moves on the spot. */
  watch(ours, (now, before) => {
    if (!isAddressed.value || same(route.query, now)) {
      return;
    }
    const isSlider = same({ ...now, need: '' }, { ...before, need: '' });
    void (isSlider ? router.replace({ query: now }) : router.push({ query: now }));
  });
}
