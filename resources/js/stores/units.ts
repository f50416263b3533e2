import { computed } from 'vue';
import { useAccount } from '@/stores/account';
import { fixed } from '@/words/habits';
import { say } from '@/words/say';

const KM_PER_MILE = 1.609344;
const METRES_PER_FOOT = 0.3048;
const F_PER_C = 9 / 5;
const F_AT_0_C = 32;

export const celsiusOfFahrenheit = (f: number): number => (f - F_AT_0_C) / F_PER_C;

/** A unit, and the way from what is stored to what is shown and back. */
interface Entry {
  unit: string;
  show: (stored: number) => number;
  store: (shown: number) => number;
}

const AS_IT_IS: Entry = { unit: '', show: (n) => n, store: (n) => n };
const times = (factor: number, unit: string): Entry => ({ unit, show: (n) => n * factor, store: (n) => n / factor });
const ENTRIES: Record<string, [Entry, Entry]> = {
  celsius: [
    { ...AS_IT_IS, unit: say('unit.celsius') },
    { unit: say('unit.fahrenheit'), show: (c) => c * F_PER_C + F_AT_0_C, store: celsiusOfFahrenheit },
  ],
  metres: [{ ...AS_IT_IS, unit: say('unit.metres') }, times(1 / METRES_PER_FOOT, say('unit.feet'))],
  km: [{ ...AS_IT_IS, unit: say('unit.km') }, times(1 / KM_PER_MILE, say('unit.mi'))],
  km_per_kwh: [{ ...AS_IT_IS, unit: say('unit.km_kwh') }, times(1 / KM_PER_MILE, say('unit.mi_kwh'))],
};

/** Distances and temperatures as the garage reads them. What is stored and computed stays in kilometres and Celsius. */
export function useUnits() {
  const account = useAccount();
  const isUs = computed(() => account.me?.garage?.units === 'us');

  const distance = (km: number): string => fixed(isUs.value ? km / KM_PER_MILE : km, 0);
  const road = (km: number): string => say(isUs.value ? 'figure.mi' : 'figure.km', { n: distance(km) });
  const gained = (km: number): string => say(isUs.value ? 'figure.mi_gained' : 'figure.km_gained', { n: distance(km) });
  /** Range per hour of charging. */
  const perHour = (kmPerHour: number | null): string =>
    kmPerHour === null
      ? say('figure.unknown')
      : say(isUs.value ? 'figure.mi_h' : 'figure.km_h', { n: distance(kmPerHour) });

  /** Degrees of the garage's scale for a temperature in Celsius, and back. */
  const degrees = (c: number): number => (isUs.value ? c * F_PER_C + F_AT_0_C : c);
  const toCelsius = (shown: number): number => (isUs.value ? celsiusOfFahrenheit(shown) : shown);

  const told = (n: number | string): string => say(isUs.value ? 'figure.fahrenheit' : 'figure.celsius', { n });
  const celsius = (c: number): string => told(Math.round(degrees(c)));
  /** As a thermometer shows it. */
  const thermometer = (c: number | null | undefined): string =>
    c === null || c === undefined ? say('figure.none') : told(fixed(degrees(c), 1));
  const rise = (k: number): string =>
    isUs.value ? say('figure.fahrenheit', { n: fixed(k * F_PER_C, 1) }) : say('figure.kelvin', { n: fixed(k, 1) });

  /** How a figure is entered in the garage's own unit; others as they are. */
  function entry(kind: string): Entry {
    const [metric, us] = ENTRIES[kind] ?? [AS_IT_IS, AS_IT_IS];
    return isUs.value ? us : metric;
  }

  return { isUs, entry, road, gained, perHour, degrees, toCelsius, celsius, thermometer, rise };
}
