import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { api, ask, wordsOf, type Cell, type Policy } from '@/api/client';
import { useGarage } from './garage';

/** Pairs fetched at once: a garage with no more is fetched whole, of a larger one what is in view. */
export const MOST_AT_ONCE = 1200;

/** Rows of a large garage that are in view when its board is opened, before anything is drawn. */
const FIRST_ROWS = 25;

/** Of rows in view, so many at once: the first of them are soon there. */
const MOST_OF_ROWS = 300;

/** Every car at every outlet, for the chosen kit and policy. */
export const useBoard = defineStore('board', () => {
  const garage = useGarage();
  const kit = useSessionStorage<'own' | 'buy' | 'none'>('harmozon-kit', 'own');
  const rows = ref<'place' | 'kind'>('place');
  /** Only this car's column, or every car. */
  const only = ref<string | null>(null);
  const policy = useSessionStorage<Policy>('harmozon-policy', 'certified');
  const cells = ref<Map<string, Cell>>(new Map());
  const isLoading = ref(false);
  const error = ref('');

  /** Outlets whose row is in view, or nearly. */
  const inView = new Set<string>();
  /** Pairs that were asked for since the last change, answered or not. */
  let requested = new Set<string>();
  let round = 0;
  /** The round of the newest answer. */
  let answered = -1;
  let isWaiting = false;

  const key = (outletId: string, vehicleId: string) => `${outletId} ${vehicleId}`;
  const cell = (outletId: string, vehicleId: string) => cells.value.get(key(outletId, vehicleId));
  const isSmall = () => garage.outlets.length * garage.cars.length <= MOST_AT_ONCE;

  /** The top of the board, before the garage itself is known. */
  function open(): Promise<void> {
    round++;
    requested = new Set();
    error.value = '';
    return fetch({ first: FIRST_ROWS }, []);
  }

  /** The garage is known: what belongs to its first screen and did not come with the top of the board. */
  function complete(): Promise<void> {
    // What was asked before a change of kit or policy is no answer to it.
    if (answered === round) {
      [...cells.value.keys()].forEach((pair) => requested.add(pair));
    }
    const isThere = garage.outlets.every((o) => garage.cars.every((v) => requested.has(key(o.id, v.id))));
    return isSmall() && !isThere ? load() : Promise.resolve();
  }

  /** The cells are out of date; those in view are asked for again. */
  function load(): Promise<void> {
    round++;
    requested = new Set();
    error.value = '';
    if (isSmall()) {
      return garage.tour === null ? fetchPairs(null, null) : loadTour();
    }
    const column = only.value === null ? Promise.resolve() : loadColumn(only.value);
    return Promise.all([fetchRows([...inView]), column]).then(() => undefined);
  }

  /** Every stop of a tour with its cars, and nothing else of the garage. */
  async function loadTour(): Promise<void> {
    const cars = garage.cars.map((v) => v.id);
    const stops = garage.outlets.map((o) => o.id);
    await Promise.all(chunks(stops, MOST_IDS).map((some) => fetchPairs(some, cars)));
  }

  /** A row came into view, or left it. */
  function see(outletId: string, isSeen: boolean): void {
    if (!isSeen) {
      inView.delete(outletId);
      return;
    }
    inView.add(outletId);
    if (!isWaiting && !isSmall()) {
      isWaiting = true;
      queueMicrotask(() => {
        isWaiting = false;
        void fetchRows([...inView]);
      });
    }
  }

  /** Every outlet for one car: a whole column is read. */
  async function loadColumn(vehicleId: string): Promise<void> {
    if (isSmall()) {
      return;
    }
    const missing = garage.outlets.map((o) => o.id).filter((o) => !requested.has(key(o, vehicleId)));
    await Promise.all(chunks(missing, MOST_IDS).map((some) => fetchPairs(some, [vehicleId])));
  }

  async function fetchRows(outlets: string[]): Promise<void> {
    const cars = garage.cars.map((v) => v.id);
    const missing = outlets.filter((o) => cars.some((v) => !requested.has(key(o, v))));
    if (missing.length > 0) {
      error.value = '';
    }
    const most = Math.max(1, Math.floor(MOST_OF_ROWS / Math.max(1, cars.length)));
    await Promise.all(chunks(missing, Math.min(most, MOST_IDS)).map((some) => fetchPairs(some, null)));
  }

  /** Those outlets with those cars; null for every one. */
  function fetchPairs(outlets: string[] | null, vehicles: string[] | null): Promise<void> {
    const cars = vehicles ?? garage.cars.map((v) => v.id);
    const pairs = (outlets ?? garage.outlets.map((o) => o.id)).flatMap((o) => cars.map((v) => key(o, v)));
    return fetch(
      { ...(outlets && { outlets: outlets.join(',') }), ...(vehicles && { vehicles: vehicles.join(',') }) },
      pairs,
    );
  }

  async function fetch(part: { outlets?: string; vehicles?: string; first?: number }, pairs: string[]): Promise<void> {
    const mine = round;
    pairs.forEach((pair) => requested.add(pair));
    isLoading.value = true;
    try {
      const query = { kit: kit.value, policy: policy.value, ...part };
      const board = await ask(api.GET('/board', { params: { query } }));
      if (mine === round) {
        const fresh: [string, Cell][] = board.cells.map((c) => [key(c.outlet, c.vehicle), c]);
        // What was known before a change goes with the first answer after it.
        const isFirst = answered !== round;
        answered = round;
        cells.value = new Map([...(isFirst ? [] : cells.value), ...fresh]);
      }
    } catch (e) {
      if (mine === round) {
        error.value = wordsOf(e);
        pairs.forEach((pair) => requested.delete(pair));
      }
    } finally {
      if (mine === round) {
        isLoading.value = false;
      }
    }
  }

  watch([kit, policy, () => garage.tour?.version, () => garage.tour?.id], load);

  return { rows, only, kit, policy, cells, cell, isLoading, error, open, complete, load, see, loadColumn };
});

/** Ids that an address takes. */
const MOST_IDS = 200;

function chunks<T>(list: readonly T[], most: number): T[][] {
  return Array.from({ length: Math.ceil(list.length / most) }, (_, i) => list.slice(i * most, (i + 1) * most));
}
