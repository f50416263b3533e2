import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { ApiError, api, ask, type Conditions, type Forecast, type Forecasts } from '@/api/client';
import { useBoard } from './board';
import { useGarage } from './garage';
import { useRail } from './rail';

/** One chain to compare with: exactly these pieces. */
export interface Beside {
  outlet: string;
  vehicle: string;
  adapters: string[];
}

/** What the driver wants and expects; in metric units, whatever is shown. */
export interface Need {
  fromSoc: number;
  toSoc: number;
  ambientC: number;
  isPrepared: boolean;
  packC: number;
  neighbourAtMinute: number | null;
  ageing: number;
  /** Heat load of the links with a boost when their earlier use ended; 0 is cold. */
  warmth: number;
  restedMinutes: number;
  deratedKw: number | null;
  coolingFailed: boolean;
  isMember: boolean;
  idleMinutes: number;
  nextStopKw: number | null;
}

export const usual: Need = {
  fromSoc: 10,
  toSoc: 80,
  ambientC: 20,
  isPrepared: true,
  packC: 20,
  neighbourAtMinute: null,
  ageing: 1,
  warmth: 0,
  restedMinutes: 30,
  deratedKw: null,
  coolingFailed: false,
  isMember: false,
  idleMinutes: 0,
  nextStopKw: null,
};

export const MOST_BESIDE = 2;

/** The forecast of the chain in the rail, and of up to two others beside it, under one need. */
export const useForecast = defineStore('forecast', () => {
  const rail = useRail();
  const board = useBoard();
  const garage = useGarage();
  const need = useSessionStorage<Need>('harmozon-need', { ...usual }, { mergeDefaults: true });
  const beside = useSessionStorage<Beside[]>('harmozon-beside', []);
  const answer = ref<Forecasts | null>(null);
  const error = ref('');
  /** Where the cursor stands: seconds after plugging in; null when it stands nowhere. */
  const cursorS = ref<number | null>(null);
  let isAsking = false;
  let isStale = false;

  const main = computed<Forecast | null>(() => answer.value?.forecasts[0] ?? null);
  const others = computed<Forecast[]>(() => answer.value?.forecasts.slice(1) ?? []);

  /** The driver's own pieces that are warm: the adapters of the chain in the rail go along to every stop. */
  const warmAdapters = computed(() => (need.value.warmth > 0 ? (rail.answer?.adapters ?? []) : []));
  const thetaOf = (links: string[]) => Object.fromEntries(links.map((link) => [link, need.value.warmth]));
  /** The cable of a stall is warm only where somebody has just charged: at the outlet in the rail. */
  const theta = (outlet: string) =>
    thetaOf([...warmAdapters.value, ...(need.value.warmth > 0 && outlet === rail.pick.outlet ? ['cable'] : [])]);

  const conditions = computed<Conditions>(() => ({
    soc_from: need.value.fromSoc,
    soc_to: need.value.toSoc,
    ambient_c: need.value.ambientC,
    pack_prepared: need.value.isPrepared,
    pack_c: need.value.isPrepared ? null : need.value.packC,
    member: need.value.isMember,
    // At any stop; a chain that is forecast brings its own.
    theta: thetaOf(warmAdapters.value),
    rested_minutes: need.value.warmth > 0 ? need.value.restedMinutes : 0,
    ageing: need.value.ageing,
    idle_minutes: need.value.idleMinutes,
    next_stop_kw: need.value.nextStopKw,
    faults: {
      cooling_failed: need.value.coolingFailed,
      derated_kw: need.value.deratedKw,
      neighbour_at_minute: need.value.neighbourAtMinute,
    },
  }));

  /** The chosen chain first; pieces that have left the garage are left out. */
  const chains = computed(() => {
    const { outlet, vehicle, adapters } = rail.pick;
    if (!outlet || !vehicle || !garage.outlet(outlet) || !garage.vehicle(vehicle)) {
      return [];
    }
    const first = {
      outlet,
      vehicle,
      adapters: adapters ?? (board.kit === 'none' ? [] : null),
      exact: adapters !== null,
      theta: theta(outlet),
    };
    return [first, ...keptBeside().map((b) => ({ ...b, exact: true, theta: theta(b.outlet) }))];
  });

  function keptBeside(): Beside[] {
    return beside.value.filter((b) => garage.outlet(b.outlet) && garage.vehicle(b.vehicle)).slice(0, MOST_BESIDE);
  }

  /** Asks again; while an answer is on its way the newest question waits, and older ones are forgotten. */
  async function refresh(): Promise<void> {
    if (isAsking) {
      isStale = true;
      return;
    }
    if (chains.value.length === 0) {
      answer.value = null;
      return;
    }
    isAsking = true;
    try {
      answer.value = await ask(
        api.POST('/forecast', {
          body: {
            chains: chains.value,
            kit: board.kit === 'buy' ? 'buy' : 'own',
            policy: board.policy,
            conditions: conditions.value,
          },
        }),
      );
      error.value = '';
    } catch (e) {
      error.value = e instanceof ApiError ? e.message : String(e);
    } finally {
      isAsking = false;
    }
    if (isStale) {
      isStale = false;
      await refresh();
    }
  }

  watch([chains, conditions], (now, before) => {
    if (JSON.stringify(now) !== JSON.stringify(before)) {
      cursorS.value = null;
    }
  });

  function keepBeside(chain: Beside): void {
    const same = (b: Beside) => JSON.stringify(b) === JSON.stringify(chain);
    beside.value = [chain, ...beside.value.filter((b) => !same(b))].slice(0, MOST_BESIDE);
  }

  function leaveOut(index: number): void {
    beside.value = keptBeside().filter((_, i) => i !== index);
  }

  return { need, beside, answer, main, others, error, cursorS, conditions, chains, refresh, keepBeside, leaveOut };
});
