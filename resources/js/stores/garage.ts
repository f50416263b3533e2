import { StorageSerializers, useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import {
  api,
  ask,
  type Adapter,
  type KindGroup,
  type Network,
  type Outlet,
  type Place,
  type Tour,
  type Vehicle,
  type Wish,
} from '@/api/client';

/** The pieces of the garage, by id. */
export const useGarage = defineStore('garage', () => {
  const vehicles = ref<Vehicle[]>([]);
  const adapters = ref<Adapter[]>([]);
  const places = ref<Place[]>([]);
  /** The kinds of charger, group by group, while there is no outlet anywhere. */
  const kinds = ref<KindGroup[]>([]);
  /** Whether kinds of charger that do not exist where the garage is are looked at, too. */
  const showsElsewhere = ref(false);
  const networks = ref<Network[]>([]);
  const tours = ref<Tour[]>([]);
  /** Adapters that aren't owned yet. */
  const wishes = ref<Wish[]>([]);
  const plates = ref<Record<string, string[]> | null>(null);
  /** How many facts of a piece nobody has read, once somebody wants to know. */
  const unread = ref<Record<string, number>>({});
  /** The words by which people look for a piece. */
  const foundBy = ref<Record<string, string>>({});
  const groups = ref<{ id: string; name: string }[]>([]);
  let loading: Promise<void> | null = null;

  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  const vehiclesById = computed(() => byId(vehicles.value));
  const areKinds = computed(() => kinds.value.length > 0);
  const elsewhere = computed(() => kinds.value.filter((k) => !k.here).reduce((n, k) => n + k.outlets.length, 0));
  /** The tour that board and ranking follow; null for everything. */
  const tourId = useSessionStorage<string | null>('harmozon-tour', null, { serializer: StorageSerializers.string });
  const tour = computed(() => tours.value.find((t) => t.id === tourId.value) ?? null);
  const placesById = computed(() => byId(places.value));
  /** What stands on the board, section by section: places, those of a tour in its order, or kinds of charger in their stead. */
  const sections = computed<Place[]>(() => {
    if (areKinds.value) {
      return kinds.value.filter((k) => k.here || showsElsewhere.value);
    }
    return tour.value === null
      ? places.value
      : (tour.value.spec.places ?? []).flatMap((id) => placesById.value.get(id) ?? []);
  });
  /** The cars on the board: those of a tour, or every one. */
  const cars = computed<Vehicle[]>(() => {
    const ids = tour.value?.spec.vehicles ?? [];
    return ids.length === 0 ? vehicles.value : ids.flatMap((id) => vehiclesById.value.get(id) ?? []);
  });
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
        wishes.value = garage.wishes;
        groups.value = garage.groups;
      })
      .catch((e: unknown) => {
        loading = null;
        throw e;
      });
    return loading;
  }

  /** Reads everything again after a piece was changed. */
  async function reload(): Promise<void> {
    loading = null;
    await Promise.all([load(), plates.value === null ? undefined : readPlates()]);
  }

  async function readPlates(): Promise<void> {
    const told = await ask(api.GET('/garage/plates'));
    plates.value = told.outlets;
    unread.value = told.unread;
    foundBy.value = told.found_by;
  }

  /** The plates of the outlets as lines, once somebody wants them. */
  const loadPlates = async (): Promise<void> => (plates.value === null ? readPlates() : undefined);

  const adaptersById = computed(() => byId(adapters.value));
  /** A chain may stand outside the tour. */
  const outletsById = computed(() => byId((areKinds.value ? kinds.value : places.value).flatMap((p) => p.outlets)));
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
    wishes,
    areKinds,
    elsewhere,
    showsElsewhere,
    tourId,
    tour,
    cars,
    unread,
    foundBy,
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
