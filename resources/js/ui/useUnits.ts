import { computed } from 'vue';
import { useAccount } from '@/stores/account';

const KM_PER_MILE = 1.609344;
const F_PER_C = 9 / 5;
const F_AT_0_C = 32;

/** Distances and temperatures as the garage reads them. What is stored and computed stays in kilometres and Celsius. */
export function useUnits() {
  const account = useAccount();
  const isUs = computed(() => account.me?.garage.units === 'us');
  const distanceUnit = computed(() => (isUs.value ? 'mi' : 'km'));
  const degreeUnit = computed(() => (isUs.value ? '°F' : '°C'));

  const distance = (km: number | null | undefined): string =>
    km === null || km === undefined ? '?' : (isUs.value ? km / KM_PER_MILE : km).toFixed(0);

  /** Degrees of the garage's scale for a temperature in Celsius, and back. */
  const degrees = (c: number): number => (isUs.value ? c * F_PER_C + F_AT_0_C : c);
  const toCelsius = (shown: number): number => (isUs.value ? (shown - F_AT_0_C) / F_PER_C : shown);

  const celsius = (c: number): string => `${Math.round(degrees(c))} ${degreeUnit.value}`;
  /** As a thermometer shows it. */
  const thermometer = (c: number | null | undefined): string =>
    c === null || c === undefined ? '–' : `${degrees(c).toFixed(1)} ${degreeUnit.value}`;
  const rise = (k: number): string => (isUs.value ? `${(k * F_PER_C).toFixed(1)} °F` : `${k.toFixed(1)} K`);

  return { distanceUnit, distance, degrees, toCelsius, celsius, thermometer, rise };
}
