import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, ask, type Adapter, type Network, type Outlet, type Place, type Tour, type Vehicle } from '@/api/client';

/** The pieces of the garage, by id. */
export const useGarage = defineStore('garage', () => {
  const vehicles = ref<Vehicle[]>([]);
  const adapters = ref<Adapter[]>([]);
  const places = ref<Place[]>([]);
  /** The kinds of charger, group by group, while there is no outlet anywhere. */
  const kinds = ref<Place[]>([]);
  const networks = ref<Network[]>([]);
  const tours = ref<Tour[]>([]);
  const plates = ref<Record<string, string[]> | null>(null);
  const groups = ref<{ id: string; name: string }[]>([]);
  let loading: Promise<void> | null = null;

  const areKinds = computed(() => kinds.value.length > 0);
  /** What stands on the board, section by section: places, or kinds of charger in their stead. */
  const sections = computed(() => (areKinds.value ? kinds.value : places.value));
  const outlets = computed<Outlet[]>(() => sections.value.flatMap((p) => p.outlets));

  function load(): Promise<void> {
    loading ??= ask(api.GET('/garage'))
      .then((garage) => {
        vehicles.value = garage.vehicles;
        adapters.value = garage.adapters;
        places.value = garage.places;
        kinds.value = garage.kinds;
        networks.value = garage.networks;
        tours.value = garage.tours;
        groups.value = garage.groups;
      })
      .catch((e: unknown) => {
        loading = null;
        throw e;
      });
    return loading;
  }

  /** Reads everything anew, after a piece was changed. */
  async function reload(): Promise<void> {
    loading = null;
    await Promise.all([load(), plates.value === null ? undefined : readPlates()]);
  }

  async function readPlates(): Promise<void> {
    plates.value = (await ask(api.GET('/garage/plates'))).outlets;
  }

  /** The plates of the outlets as lines, once somebody wants them. */
  const loadPlates = async (): Promise<void> => (plates.value === null ? readPlates() : undefined);

  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  const vehiclesById = computed(() => byId(vehicles.value));
  const adaptersById = computed(() => byId(adapters.value));
  const outletsById = computed(() => byId(outlets.value));
  const vehicle = (id: string | null) => vehiclesById.value.get(id ?? '');
  const adapter = (id: string | null) => adaptersById.value.get(id ?? '');
  const outlet = (id: string | null) => outletsById.value.get(id ?? '');
  const linesOf = (outletId: string): string[] => plates.value?.[outletId] ?? [];
  /** The letters on an adapter; a plus for one that would have to be bought. */
  const tag = (adapterId: string) => adapter(adapterId)?.tag ?? '+';

  return {
    vehicles,
    adapters,
    places,
    networks,
    tours,
    areKinds,
    sections,
    groups,
    outlets,
    load,
    reload,
    loadPlates,
    linesOf,
    vehicle,
    adapter,
    outlet,
    tag,
  };
});
