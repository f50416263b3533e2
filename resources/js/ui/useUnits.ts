import { computed } from 'vue';
import { useAccount } from '@/stores/account';

const KM_PER_MILE = 1.609344;

/** Distances and temperatures as the garage reads them. What is stored and computed stays in kilometres and Celsius. */
export function useUnits() {
  const account = useAccount();
  const isUs = computed(() => account.me?.garage.units === 'us');
  const distanceUnit = computed(() => (isUs.value ? 'mi' : 'km'));

  const distance = (km: number | null | undefined): string =>
    km === null || km === undefined ? '?' : (isUs.value ? km / KM_PER_MILE : km).toFixed(0);
  const celsius = (c: number): string => (isUs.value ? `${Math.round((c * 9) / 5 + 32)} °F` : `${Math.round(c)} °C`);

  /** As a thermometer shows it. */
  const thermometer = (c: number | null | undefined): string =>
    c === null || c === undefined ? '–' : isUs.value ? `${((c * 9) / 5 + 32).toFixed(1)} °F` : `${c.toFixed(1)} °C`;
  const rise = (k: number): string => (isUs.value ? `${((k * 9) / 5).toFixed(1)} °F` : `${k.toFixed(1)} K`);

  return { thermometer, rise, isUs, distanceUnit, distance, celsius };
}
