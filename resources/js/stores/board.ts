import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { api, ask, wordsOf, type Cell, type Policy } from '@/api/client';

/** Every car at every outlet, for the chosen kit and policy. */
export const useBoard = defineStore('board', () => {
  const kit = useSessionStorage<'own' | 'buy' | 'none'>('harmozon-kit', 'own');
  const rows = ref<'place' | 'kind'>('place');
  /** Only this car's column, or every car. */
  const only = ref<string | null>(null);
  const policy = useSessionStorage<Policy>('harmozon-policy', 'certified');
  const cells = ref<Map<string, Cell>>(new Map());
  const isLoading = ref(false);
  const error = ref('');
  let asked = 0;

  const key = (outletId: string, vehicleId: string) => `${outletId} ${vehicleId}`;
  const cell = (outletId: string, vehicleId: string) => cells.value.get(key(outletId, vehicleId));

  async function load(): Promise<void> {
    const mine = ++asked;
    isLoading.value = true;
    error.value = '';
    try {
      const board = await ask(api.GET('/board', { params: { query: { kit: kit.value, policy: policy.value } } }));
      if (mine === asked) {
        cells.value = new Map(board.cells.map((c) => [key(c.outlet, c.vehicle), c]));
      }
    } catch (e) {
      error.value = wordsOf(e);
    } finally {
      if (mine === asked) {
        isLoading.value = false;
      }
    }
  }

  watch([kit, policy], load);

  return { rows, only, kit, policy, cells, cell, isLoading, error, load };
});
