import type { Outlet } from '@/api/client';
import { money } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** The price as it is printed at the place. */
export function pricePlate(outlet: Outlet): string {
  const { tariff } = outlet.spec;
  const printed = (amount: string | number) => money(String(amount), tariff?.currency);
  const parts = [
    ...(tariff?.per_kwh === null || tariff?.per_kwh === undefined
      ? []
      : [say('kit.per_kwh', { price: printed(tariff.per_kwh) })]),
    ...(Number(tariff?.per_minute ?? 0) > 0
      ? [say('kit.per_minute', { price: printed(tariff?.per_minute ?? '') })]
      : []),
    ...((tariff?.minute_bands?.length ?? 0) > 0 ? [say('kit.per_band')] : []),
  ];
  return listed('comma', parts) || say('figure.price_unread');
}
