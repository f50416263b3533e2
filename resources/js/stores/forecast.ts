import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { api, ask, wordsOf, type Conditions, type Forecast, type Forecasts, type Link, type Terms } from '@/api/client';
import { useBoard } from './board';
import { useGarage } from './garage';
import { useRail } from './rail';
import { useTerms } from './terms';

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
  /** How far it has to go, in place of a target; null: the target counts. */
  km: number | null;
  reserveSoc: number;
  ambientC: number;
  isPrepared: boolean;
  packC: number;
  /** How long the car's heater warms the pack on the way; null: it does not. */
  preparedMinutes: number | null;
  neighbourAtMinute: number | null;
  neighbourLeavesAtMinute: number | null;
  /** Share of the continuous amps that wear has left. */
  ratingLeft: number;
  /** Heat load of the links with a boost when their earlier use ended; 0 is cold. */
  warmth: number;
  restedMinutes: number;
  deratedKw: number | null;
  coolingFailed: boolean;
  isMember: boolean;
  idleMinutes: number;
  nextStopKw: number | null;
  /** Heating or cooling with somebody in the car, by a word; a figure goes before it. */
  cabin: 'off' | 'mild' | 'strong';
  cabinKw: number | null;
  isTowing: boolean;
}

/** What a driver is taken to want while nothing else is said: the core knows. */
function usualNeed(need: Terms['need']): Need {
  return {
    fromSoc: need.soc_from,
    toSoc: need.soc_to,
    km: null,
    reserveSoc: need.begins.reserve_soc,
    ambientC: need.ambient_c,
    isPrepared: need.pack_prepared,
    packC: need.pack_c,
    preparedMinutes: null,
    neighbourAtMinute: null,
    neighbourLeavesAtMinute: null,
    ratingLeft: need.ageing,
    warmth: 0,
    restedMinutes: need.rested_minutes,
    deratedKw: null,
    coolingFailed: false,
    isMember: need.member,
    idleMinutes: need.idle_minutes,
    nextStopKw: null,
    cabin: 'off',
    cabinKw: null,
    isTowing: false,
  };
}

export const MOST_BESIDE = 2;

/** The forecast of the chain in the rail, and of up to two others beside it, under one need. */
export const useForecast = defineStore('forecast', () => {
  const rail = useRail();
  const board = useBoard();
  const garage = useGarage();
  const terms = useTerms();
  const usual = computed(() => usualNeed(terms.known().need));
  /** What is wanted otherwise than usual. */
  const changed = useSessionStorage<Partial<Need>>('harmozon-need', {});
  const need = computed<Need>(() => ({ ...usual.value, ...changed.value }));
  const sheet = useSessionStorage<'next' | 'compare' | 'stops' | 'sticker'>('harmozon-sheet', 'next');
  const isUsual = computed(() => JSON.stringify(need.value) === JSON.stringify(usual.value));
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
  const warmLinks = (kind: Link['kind']): string[] =>
    need.value.warmth > 0
      ? (rail.answer?.links ?? []).filter((link) => link.kind === kind && link.heats).map((link) => link.id)
      : [];
  const warmAdapters = computed(() => warmLinks('adapter'));
  const thetaOf = (links: string[]) => Object.fromEntries(links.map((link) => [link, need.value.warmth]));
  /** The cable of a stall is warm only where somebody has just charged: at the outlet in the rail. */
  const theta = (outlet: string) =>
    thetaOf([...warmAdapters.value, ...(outlet === rail.pick.outlet ? warmLinks('cable') : [])]);

  const conditions = computed<Conditions>(() => ({
    soc_from: need.value.fromSoc,
    ...(need.value.km === null
      ? { soc_to: need.value.toSoc }
      : { distance: { km: need.value.km, reserve_soc: need.value.reserveSoc } }),
    ambient_c: need.value.ambientC,
    pack_prepared: need.value.isPrepared || (need.value.preparedMinutes ?? false),
    pack_c: need.value.isPrepared ? null : need.value.packC,
    member: need.value.isMember,
    towing: need.value.isTowing,
    ...(need.value.cabinKw === null ? { cabin: need.value.cabin } : { cabin_kw: need.value.cabinKw }),
    // At any stop; a chain that is forecast brings its own.
    theta: thetaOf(warmAdapters.value),
    rested_minutes: need.value.warmth > 0 ? need.value.restedMinutes : 0,
    ageing: need.value.ratingLeft,
    idle_minutes: need.value.idleMinutes,
    next_stop_kw: need.value.nextStopKw,
    faults: {
      cooling_failed: need.value.coolingFailed,
      derated_kw: need.value.deratedKw,
      neighbour_at_minute: need.value.neighbourAtMinute,
      neighbour_leaves_at_minute: need.value.neighbourLeavesAtMinute,
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
      error.value = wordsOf(e);
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

  /** Changes what is wanted; the rest stays as it is. */
  function want(changes: Partial<Need>): void {
    changed.value = { ...changed.value, ...changes };
  }

  /** Back to what is usual. */
  function wantUsual(): void {
    changed.value = {};
  }

  function keepBeside(chain: Beside): void {
    const same = (b: Beside) => JSON.stringify(b) === JSON.stringify(chain);
    beside.value = [chain, ...beside.value.filter((b) => !same(b))].slice(0, MOST_BESIDE);
  }

  function leaveOut(index: number): void {
    beside.value = keptBeside().filter((_, i) => i !== index);
  }

  return {
    need,
    changed,
    sheet,
    isUsual,
    want,
    wantUsual,
    beside,
    answer,
    main,
    others,
    error,
    cursorS,
    conditions,
    chains,
    refresh,
    keepBeside,
    leaveOut,
  };
});
