<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import { useForecast } from '@/stores/forecast';
import { useUnits } from '@/ui/useUnits';
import { duration, money } from '@/ui/words';

/** What the session gives and costs, the minutes first. */
const props = defineProps<{ main: Forecast }>();
const forecast = useForecast();
const { distance, distanceUnit } = useUnits();

const cost = computed(() => props.main.cost);
const membership = computed(() => {
  const c = cost.value;
  if (!c?.with_membership) {
    return null;
  }
  const other = forecast.need.isMember
    ? `${money(c.without_membership, c.currency)} without membership`
    : `${money(c.with_membership, c.currency)} as a member`;
  const sessions = c.break_even_sessions_per_month;
  const pays =
    sessions === null
      ? 'the membership saves nothing'
      : sessions === 1
        ? 'the membership pays with one such session a month'
        : `the membership pays from session ${sessions} a month`;
  return `${other}; ${pays}${c.break_even_kwh_per_month === null ? '' : ` (${c.break_even_kwh_per_month} kWh)`}`;
});
</script>

<template>
  <div class="figures-line">
    <p class="minutes">
      <strong class="figures">{{ duration(main.minutes) }}</strong>
      <span
        >to {{ main.soc_end.toFixed(0) }} %<template v-if="main.stopped"
          >, not {{ forecast.need.toSoc }} %</template
        ></span
      >
    </p>
    <p>
      <strong class="figures">{{ main.plug_kwh.toFixed(1) }} kWh</strong>
      <span>{{ main.pack_kwh.toFixed(1) }} of them into the pack</span>
    </p>
    <p>
      <strong class="figures">{{ money(cost?.amount, cost?.currency) }}</strong>
      <span v-if="cost && Number(cost.idle_fee) > 0"
        >idle fee of {{ money(cost.idle_fee, cost.currency) }} included</span
      >
      <span v-else-if="cost">{{
        forecast.need.isMember && cost.with_membership ? 'as a member' : 'without membership'
      }}</span>
      <span v-else>write it down under Kit</span>
    </p>
    <p>
      <strong class="figures">{{ distance(main.km_per_hour) }} {{ distanceUnit }}/h</strong>
      <span>{{ main.km === null ? 'use not known' : `${distance(main.km)} ${distanceUnit} gained` }}</span>
    </p>
    <p v-if="membership" class="membership">{{ membership }}.</p>
  </div>
</template>

<style scoped>
.figures-line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 34px;
  align-items: baseline;
}

p {
  display: flex;
  flex-direction: column;
  line-height: 1.25;
}

p strong {
  font-size: 20px;
  font-weight: 680;
}

.minutes strong {
  font-size: 28px;
  line-height: 1;
}

p span,
.membership {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.membership {
  flex-basis: 100%;
}
</style>
