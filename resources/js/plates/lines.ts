import type { Outlet } from '@/api/client';
import { money } from '@/ui/figures';
import { listed, say, type Code } from '@/words/say';

/** The price as it is printed at the place. */
export function pricePlate(outlet: Outlet): string {
  const { tariff } = outlet.spec;
  const printed = (amount: string | number) => money(String(amount), tariff?.currency);
  const charged = (code: Code, amount: string | number | null | undefined) =>
    Number(amount ?? 0) > 0 ? [say(code, { price: printed(amount ?? '') })] : [];
  const parts = [
    ...(tariff?.per_kwh === null || tariff?.per_kwh === undefined
      ? []
      : [say('kit.per_kwh', { price: printed(tariff.per_kwh) })]),
    ...charged('kit.per_minute', tariff?.per_minute),
    ...((tariff?.minute_bands?.length ?? 0) > 0 ? [say('kit.per_band')] : []),
    ...charged('kit.per_session', tariff?.session_fee),
    ...charged('kit.idle', tariff?.idle_per_minute),
  ];
  return listed('comma', parts) || say('figure.price_unread');
}
