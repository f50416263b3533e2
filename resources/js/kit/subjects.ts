import { computed } from 'vue';
import { useExperience } from '@/stores/experience';
import { useGarage } from '@/stores/garage';

export type Subject = 'crate' | 'cars' | 'places' | 'tours' | 'shop';

/** The subjects of Kit: an address each, how many pieces it has, and how many of them need attention. */
export function useSubjects() {
  const garage = useGarage();
  const experience = useExperience();
  const unread = (ids: string[]): number => ids.filter((id) => (garage.unread[id] ?? 0) > 0).length;

  return computed(() => [
    {
      name: 'crate' as const,
      path: '/kit',
      title: 'subject.crate' as const,
      count: garage.adapters.length,
      due: garage.adapters.filter((a) => a.need !== null || experience.trustIn(a.id)?.next_test.due).length,
    },
    {
      name: 'cars' as const,
      path: '/kit/cars',
      title: 'subject.cars' as const,
      count: garage.vehicles.length,
      due: unread(garage.vehicles.map((v) => v.id)),
    },
    {
      name: 'places' as const,
      path: '/kit/places',
      title: 'subject.places' as const,
      count: garage.places.length,
      due: garage.places.filter((p) => p.outlets.some((o) => o.spec.known_fault)).length,
    },
    {
      name: 'tours' as const,
      path: '/kit/tours',
      title: 'subject.tours' as const,
      count: garage.tours.length,
      due: garage.networks.filter((n) => Object.values(n.spec).includes('to_do')).length,
    },
    {
      name: 'shop' as const,
      path: '/kit/shop',
      title: 'subject.shop' as const,
      count: garage.wishes.length,
      due: 0,
    },
  ]);
}
