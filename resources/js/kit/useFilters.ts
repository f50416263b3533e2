import { computed, reactive, ref } from 'vue';
import type { Adapter, Outlet, Place, Vehicle } from '@/api/client';
import type { PieceKind } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import { holdsWords } from '@/ui/matchesSearch';

export interface Wanted {
  words: string;
  coupler: string;
  current: string;
  network: string;
  isUnread: boolean;
  order: 'arranged' | 'name' | 'unread';
}

/** Filters and sorts the pieces, and holds those selected to be edited together; may start with search words. */
export function useFilters(words = '') {
  const garage = useGarage();
  const wanted = reactive<Wanted>({
    words,
    coupler: '',
    current: '',
    network: '',
    isUnread: false,
    order: 'arranged',
  });
  const isChoosing = ref(false);
  const chosen = ref<string[]>([]);
  /** What is edited together is of one kind. */
  const chosenKind = ref<PieceKind | null>(null);

  const unreadOf = (id: string): number => garage.unread[id] ?? 0;
  const isFiltered = computed(
    () =>
      wanted.words.trim() !== '' ||
      wanted.coupler !== '' ||
      wanted.current !== '' ||
      wanted.network !== '' ||
      wanted.isUnread,
  );

  const holds = (...texts: (string | undefined)[]): boolean => holdsWords(wanted.words, ...texts);

  const isAsked = (id: string, couplers: string[], currents: string[], networks: string[]): boolean =>
    (wanted.coupler === '' || couplers.includes(wanted.coupler)) &&
    (wanted.current === '' || currents.includes(wanted.current)) &&
    (wanted.network === '' || networks.some((n) => n.toLowerCase() === wanted.network.toLowerCase())) &&
    (!wanted.isUnread || unreadOf(id) > 0);

  function ordered<T extends { id: string; name: string }>(pieces: T[]): T[] {
    switch (wanted.order) {
      case 'name':
        return [...pieces].sort((a, b) => a.name.localeCompare(b.name));
      case 'unread':
        return [...pieces].sort((a, b) => unreadOf(b.id) - unreadOf(a.id));
      default:
        return pieces;
    }
  }

  const networksOf = (o: Outlet): string[] => {
    const access = o.spec.access;
    return [...(access?.network ? [access.network] : []), ...(access?.makes ?? [])];
  };

  const vehicles = computed<Vehicle[]>(() =>
    ordered(
      garage.vehicles.filter((v) => {
        const sides = v.spec.inlets.flatMap((i) => [...(i.dc ? ['dc'] : []), ...(i.ac ? ['ac'] : [])]);
        const couplers = v.spec.inlets.map((i) => i.coupler);
        return (
          holds(v.name, v.blurb, ...couplers, garage.foundBy[v.id]) &&
          isAsked(v.id, couplers, sides, v.spec.programmes ?? [])
        );
      }),
    ),
  );
  const adapters = computed<Adapter[]>(() =>
    ordered(
      garage.adapters.filter(
        (a) =>
          holds(a.tag, a.name, a.blurb, a.spec.input, a.spec.output, garage.foundBy[a.id]) &&
          isAsked(a.id, [a.spec.input, a.spec.output], a.spec.current ? [a.spec.current] : [], []),
      ),
    ),
  );
  /** Places with what of them is looked for; an empty one stands while nothing is. */
  const places = computed<Place[]>(() =>
    garage.places
      .map((p) => ({
        ...p,
        outlets: ordered(
          p.outlets.filter(
            (o) =>
              holds(p.name, o.name, o.blurb, o.spec.coupler, garage.foundBy[o.id]) &&
              isAsked(o.id, [o.spec.coupler], [o.spec.current], networksOf(o)),
          ),
        ),
      }))
      .filter((p) => p.outlets.length > 0 || !isFiltered.value || (holds(p.name) && !hasFilter.value)),
  );
  const hasFilter = computed(
    () => wanted.coupler !== '' || wanted.current !== '' || wanted.network !== '' || wanted.isUnread,
  );
  const couplers = computed(() =>
    [
      ...new Set([
        ...garage.vehicles.flatMap((v) => v.spec.inlets.map((i) => i.coupler)),
        ...garage.adapters.flatMap((a) => [a.spec.input, a.spec.output]),
        ...garage.places.flatMap((p) => p.outlets.map((o) => o.spec.coupler)),
      ]),
    ].sort(),
  );
  const networks = computed(() =>
    [...new Set(garage.places.flatMap((p) => p.outlets.flatMap(networksOf)))].sort((a, b) => a.localeCompare(b)),
  );

  function choose(kind: PieceKind, id: string, isChosen: boolean): void {
    chosen.value = isChosen ? [...chosen.value, id] : chosen.value.filter((one) => one !== id);
    chosenKind.value = chosen.value.length > 0 ? kind : null;
  }

  /** Everything that is looked for, of the kind that was begun with. */
  function chooseAll(): void {
    const lists = {
      vehicles: vehicles.value,
      adapters: adapters.value,
      outlets: places.value.flatMap((p) => p.outlets),
    };
    const kind = chosenKind.value;
    if (kind === 'vehicles' || kind === 'adapters' || kind === 'outlets') {
      chosen.value = lists[kind].map((one) => one.id);
    }
  }

  function begin(): void {
    isChoosing.value = true;
  }

  function stop(): void {
    isChoosing.value = false;
    chosen.value = [];
    chosenKind.value = null;
  }

  return {
    wanted,
    isFiltered,
    vehicles,
    adapters,
    places,
    couplers,
    networks,
    unreadOf,
    isChoosing,
    chosen,
    chosenKind,
    choose,
    chooseAll,
    begin,
    stop,
  };
}
