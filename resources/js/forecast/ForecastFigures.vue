<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import { useForecast } from '@/stores/forecast';
import { useUnits } from '@/stores/units';
import { duration, money, soc } from '@/ui/figures';
import { fixed } from '@/words/habits';
import { listed, say } from '@/words/say';

/** What the session gives and costs, the minutes first. */
const props = defineProps<{ main: Forecast }>();
const forecast = useForecast();
const { perHour, gained } = useUnits();

const kwh = (n: string | number) => say('figure.kwh', { n });
const cost = computed(() => props.main.cost);
/** Where a forecast rests on what nobody has read, its span stands for the one figure. */
const minutes = computed(() => {
  const [low, high] = props.main.band?.minutes ?? [];
  return low === undefined || high === undefined || Math.round(low) === Math.round(high)
    ? duration(props.main.minutes)
    : high < 120
      ? say('figure.minutes_span', { low: Math.round(low), high: Math.round(high) })
      : say('figure.span', { low: duration(low), high: duration(high) });
});
const plugKwh = computed(() => {
  const [low, high] = props.main.band?.plug_kwh ?? [];
  const [from, to] = [fixed(low ?? props.main.plug_kwh, 1), fixed(high ?? props.main.plug_kwh, 1)];
  return kwh(from === to ? from : say('figure.span', { low: from, high: to }));
});
const price = computed(() => {
  const [low, high] = props.main.band?.amount ?? [];
  const { amount, currency, at_least: isAtLeast } = cost.value ?? {};
  const told =
    low === undefined || high === undefined || low === high
      ? money(amount, currency)
      : say('figure.span', { low: money(low, currency), high: money(high, currency) });
  return isAtLeast && amount ? say('figure.at_least', { figure: told }) : told;
});
const membership = computed(() => {
  const c = cost.value;
  if (!c?.with_membership) {
    return null;
  }
  const other = forecast.need.isMember
    ? say('forecast.price_without', { price: money(c.without_membership, c.currency) })
    : say('forecast.price_as_member', { price: money(c.with_membership, c.currency) });
  const sessions = c.break_even_sessions_per_month;
  return sessions === null || c.break_even_kwh_per_month === null
    ? say('forecast.saves_nothing', { other })
    : say('forecast.pays', { other, sessions, kwh: kwh(c.break_even_kwh_per_month) });
});
</script>

<template>
  <div class="figures-line">
    <p class="minutes">
      <strong class="figures">{{ minutes }}</strong>
      <span>{{
        main.stopped
          ? say('forecast.to_not', { percent: soc(main.soc_end), target: soc(main.soc_to) })
          : say('forecast.to', { percent: soc(main.soc_end) })
      }}</span>
    </p>
    <p>
      <strong class="figures">{{ plugKwh }}</strong>
      <span>{{ say('forecast.into_pack', { kwh: fixed(main.pack_kwh, 1) }) }}</span>
    </p>
    <p>
      <strong class="figures">{{ price }}</strong>
      <span v-if="cost && cost.unread.length > 0">{{
        say('forecast.prices_unread', { parts: listed('and', cost.unread) })
      }}</span>
      <span v-else-if="cost && Number(cost.idle_fee) > 0">{{
        say('forecast.idle_included', { price: money(cost.idle_fee, cost.currency) })
      }}</span>
      <span v-else-if="cost">{{
        forecast.need.isMember && cost.with_membership ? say('forecast.as_member') : say('forecast.without')
      }}</span>
      <span v-else>{{ say('forecast.write_price') }}</span>
    </p>
    <p>
      <strong class="figures">{{ perHour(main.km_per_hour) }}</strong>
      <span>{{ main.km === null ? say('forecast.use_unknown') : gained(main.km) }}</span>
    </p>
    <p v-if="main.cabin_saves" class="membership">{{ main.cabin_saves.words }}</p>
    <p v-if="membership" class="membership">{{ membership }}</p>
  </div>
</template>

<style scoped>
.figures-line {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-10);
  align-items: baseline;
}

p {
  display: flex;
  flex-direction: column;
  line-height: 1.25;
}

p strong {
  font-size: var(--size-title);
  font-weight: 680;
}

.minutes strong {
  font-size: var(--size-figure);
  line-height: 1;
}

p span,
.membership {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.membership {
  flex-basis: 100%;
}
</style>
