import type { Adapter, Outlet, Vehicle } from '@/api/client';
import { money } from '@/ui/words';

type Inlet = Vehicle['spec']['inlets'][number];

const join = (...parts: (string | null)[]): string => parts.filter((p) => p !== null).join(' · ') || 'plate not read';
const v = (n: number | null | undefined) => (n === null || n === undefined ? null : `${n} V`);
const a = (n: number | null | undefined) => (n === null || n === undefined ? null : `${n} A`);
const kw = (n: number | null | undefined) => (n === null || n === undefined ? null : `${n} kW`);

/** Plates as one line of figures, as they are printed. */
export function outletPlate(outlet: Outlet): string {
  const { spec } = outlet;
  return spec.current === 'ac'
    ? join(v(spec.supply?.volts), a(spec.supply?.amps), kw(spec.max_kw))
    : join(spec.max_v ? v(spec.max_v) : '? V', a(spec.max_a), kw(spec.max_kw));
}

/** The price as it is printed at the place. */
export function pricePlate(outlet: Outlet): string {
  const { tariff } = outlet.spec;
  const printed = (amount: string | number) => money(String(amount), tariff?.currency);
  const isRead = (amount: string | number | null | undefined) => amount !== null && amount !== undefined;
  const parts = [
    ...(isRead(tariff?.per_kwh) ? [`${printed(tariff?.per_kwh ?? '')} for a kWh`] : []),
    ...(isRead(tariff?.per_minute) && Number(tariff?.per_minute) > 0
      ? [`${printed(tariff?.per_minute ?? '')} for a minute`]
      : []),
    ...((tariff?.minute_bands?.length ?? 0) > 0 ? ['by the minute and its power'] : []),
  ];
  return parts.join(', ') || 'price not read';
}

export function adapterPlate(adapter: Adapter): string {
  const p = adapter.spec.plate;
  return join(v(p?.max_v), a(p?.continuous_a), p?.boost_a ? `${p.boost_a} A ${p.boost_minutes} min` : null);
}

export function inletPlate(inlet: Inlet | undefined, current: 'ac' | 'dc'): string {
  const side = current === 'ac' ? inlet?.ac : inlet?.dc;
  return side ? join(v(side.max_v), a(side.max_a), kw(side.max_kw)) : `no ${current.toUpperCase()}`;
}

export function packPlate(vehicle: Vehicle): string {
  const { pack } = vehicle.spec;
  const volts = pack?.voltage_by_soc?.map((point) => point[1] ?? 0) ?? [];
  const window = volts.length > 0 ? `${Math.min(...volts)}–${Math.max(...volts)} V` : null;
  return join(window, pack?.usable_kwh ? `${pack.usable_kwh} kWh` : null);
}

export function converterPlate(inlet: Inlet | undefined): string {
  const c = inlet?.dc?.boost_converter;
  return join(c?.input_v ? `${c.input_v} V in` : null, a(c?.max_input_a), kw(c?.max_kw));
}
