import type { LocationQuery } from 'vue-router';
import type { Policy } from '@/api/client';
import type { Beside, Need } from '@/stores/forecast';

/** Everything an answer depends on is in the address: a reload, back, forward and a shared link show the same. */
export interface Shown {
  outlet: string | null;
  vehicle: string | null;
  /** Exactly these adapters; null lets the best answer choose. */
  adapters: string[] | null;
  /** The tour that board and ranking follow; null for every place. */
  tour: string | null;
  kit: string;
  policy: string;
  sheet: string;
  /** What differs from the usual need. */
  need: Partial<Need>;
  beside: Beside[];
}

export const KITS = ['own', 'buy', 'none'] as const;
export const POLICIES: readonly Policy[] = ['maker', 'certified', 'any'];
export const SHEETS = ['next', 'compare', 'stops', 'sticker'] as const;

/** Nothing between two adapters: a direct joint. */
const DIRECT = '-';

/** Parts of an address that are ours; what is usual is left out. */
export function toAddress(shown: Shown): Record<string, string> {
  const chain = (adapters: string[]) => adapters.join('.') || DIRECT;
  const parts: Record<string, string | null> = {
    at: shown.outlet,
    car: shown.vehicle,
    by: shown.adapters && chain(shown.adapters),
    tour: shown.tour,
    kit: shown.kit === 'own' ? null : shown.kit,
    policy: shown.policy === 'certified' ? null : shown.policy,
    sheet: shown.sheet === 'next' ? null : shown.sheet,
    need: Object.keys(shown.need).length > 0 ? JSON.stringify(shown.need) : null,
    beside:
      shown.beside.length > 0
        ? shown.beside.map((b) => [b.outlet, b.vehicle, chain(b.adapters)].join(',')).join(';')
        : null,
  };
  return Object.fromEntries(Object.entries(parts).filter((part): part is [string, string] => part[1] !== null));
}

/** What an address says; what it does not say, or says in other words, is usual. */
export function fromAddress(query: LocationQuery): Shown {
  const text = (key: string): string | null => (typeof query[key] === 'string' ? query[key] : null);
  const oneOf = (key: string, known: readonly string[], usual: string): string =>
    known.find((one) => one === text(key)) ?? usual;
  const adapters = (chain: string | null | undefined): string[] | null =>
    !chain ? null : chain === DIRECT ? [] : chain.split('.');
  return {
    outlet: text('at'),
    vehicle: text('car'),
    adapters: adapters(text('by')),
    tour: text('tour'),
    kit: oneOf('kit', KITS, 'own'),
    policy: oneOf('policy', POLICIES, 'certified'),
    sheet: oneOf('sheet', SHEETS, 'next'),
    need: needOf(text('need')),
    beside: (text('beside') ?? '')
      .split(';')
      .map((one) => one.split(','))
      .flatMap(([outlet, vehicle, chain]) =>
        outlet && vehicle && chain ? [{ outlet, vehicle, adapters: adapters(chain) ?? [] }] : [],
      ),
  };
}

/** Without what this garage doesn't have: an address that was sent or kept may be of another one. */
export function knownHere(
  shown: Shown,
  knows: {
    outlet: (id: string) => boolean;
    vehicle: (id: string) => boolean;
    adapter: (id: string, outlet: string) => boolean;
    tour: (id: string) => boolean;
  },
): Shown {
  // An adapter that could be bought is in nobody's kit.
  const knowsAll = (adapters: string[], at: string): boolean =>
    shown.kit === 'buy' || adapters.every((a) => knows.adapter(a, at));
  const isChain = (b: Beside): boolean =>
    knows.outlet(b.outlet) && knows.vehicle(b.vehicle) && knowsAll(b.adapters, b.outlet);
  const outlet = shown.outlet !== null && knows.outlet(shown.outlet) ? shown.outlet : null;
  const vehicle = shown.vehicle !== null && knows.vehicle(shown.vehicle) ? shown.vehicle : null;
  const isWhole = outlet !== null && vehicle !== null && knowsAll(shown.adapters ?? [], outlet);
  return {
    ...shown,
    outlet,
    vehicle,
    adapters: isWhole ? shown.adapters : null,
    tour: shown.tour !== null && knows.tour(shown.tour) ? shown.tour : null,
    beside: shown.beside.filter(isChain),
  };
}

/** Whether an address says anything of it at all. */
export const saysAnything = (query: LocationQuery): boolean =>
  ['at', 'car', 'by', 'tour', 'kit', 'policy', 'sheet', 'need', 'beside'].some((key) => key in query);

/** Figures, switches, and what is switched off. */
function needOf(text: string | null): Partial<Need> {
  try {
    const found: unknown = JSON.parse(text ?? '{}');
    return typeof found === 'object' && found !== null && !Array.isArray(found)
      ? Object.fromEntries(
          Object.entries(found).filter(
            ([, value]) => value === null || typeof value === 'boolean' || Number.isFinite(value),
          ),
        )
      : {};
  } catch {
    return {};
  }
}
