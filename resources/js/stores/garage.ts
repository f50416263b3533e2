import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, ask, type Adapter, type Outlet, type Place, type Vehicle } from '@/api/client';

/** The pieces of the garage, by id. */
export const useGarage = defineStore('garage', () => {
  const vehicles = ref<Vehicle[]>([]);
  const adapters = ref<Adapter[]>([]);
  const places = ref<Place[]>([]);
  const groups = ref<{ id: string; name: string }[]>([]);
  let loading: Promise<void> | null = null;

  const outlets = computed<Outlet[]>(() => places.value.flatMap((p) => p.outlets));

  function load(): Promise<void> {
    loading ??= ask(api.GET('/garage'))
      .then((garage) => {
        vehicles.value = garage.vehicles;
        adapters.value = garage.adapters;
        places.value = garage.places;
        groups.value = garage.groups;
      })
      .catch((e: unknown) => {
        loading = null;
        throw e;
      });
    return loading;
  }

  /** Reads everything anew, after a piece was changed. */
  function reload(): Promise<void> {
    loading = null;
    return load();
  }

  const vehicle = (id: string | null) => vehicles.value.find((v) => v.id === id);
  const adapter = (id: string | null) => adapters.value.find((a) => a.id === id);
  const outlet = (id: string | null) => outlets.value.find((o) => o.id === id);
  /** The letters on an adapter; a plus for one that would have to be bought. */
  const tag = (adapterId: string) => adapter(adapterId)?.tag ?? '+';

  return { vehicles, adapters, places, groups, outlets, load, reload, vehicle, adapter, outlet, tag };
});
