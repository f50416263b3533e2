<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import AskForm from '@/board/AskForm.vue';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { money } from '@/ui/words';

/** What every 5 % takes, the next one after the target first; how long boosts last; where going on is quicker. */
const props = defineProps<{ main: Forecast }>();
const forecast = useForecast();
const garage = useGarage();

const next = computed(() => {
  const last = props.main.marginal.at(-1);
  return last && last.soc >= props.main.soc_end - 0.01 ? last : null;
});
const before = computed(() => props.main.marginal.filter((m) => m !== next.value));
const most = computed(() => Math.max(...props.main.marginal.map((m) => m.minutes_per_5), 0.1));
const fault = computed(() => garage.outlet(props.main.chain[0] ?? null)?.spec.known_fault);
const boosts = computed(() =>
  props.main.heat
    .filter((h) => h.boost_minutes_today !== null)
    .map((h) => ({
      ...h,
      name: h.link === 'cable' ? "The station's cable" : `${garage.tag(h.link)} ${garage.adapter(h.link)?.name ?? ''}`,
    })),
);
const price = (amount: string | null) => (amount === null ? '' : `, ${money(amount, props.main.cost?.currency)}`);
</script>

<template>
  <div class="next">
    <div>
      <p v-if="next" class="lead">
        The next 5 %, from {{ next.soc.toFixed(0) }} %:
        <strong class="figures">{{ next.minutes_per_5.toFixed(1) }} min{{ price(next.amount_per_5) }}</strong>
      </p>
      <p v-else-if="main.stopped" class="lead">{{ main.stopped }}</p>
      <p v-if="forecast.need.nextStopKw !== null">
        {{
          main.go_on_at_soc === null
            ? `This stall gives more than the next one all the way to ${main.soc_end.toFixed(0)} %.`
            : `From ${main.go_on_at_soc.toFixed(0)} % on, the next stop gives more: go on there, if you stop anyway.`
        }}
      </p>
      <p v-for="b in boosts" :key="b.link">
        {{ b.name }}: {{ b.boost_a.toFixed(0) }} A for
        <strong class="figures">{{ b.boost_minutes_today?.toFixed(1) }} min</strong> today, then
        {{ b.effective_a.toFixed(0) }} A{{
          b.full_at_minute === null ? '; not used up here.' : `; used up at minute ${b.full_at_minute.toFixed(0)}.`
        }}
      </p>
      <p v-if="fault" class="open">Known fault of this stall: {{ fault }}.</p>
      <template v-if="main.unread.length > 0">
        <p class="open">Not everything is read, so this is a ceiling:</p>
        <AskForm v-for="ask in main.unread" :key="ask.piece + ask.path" :ask="ask" />
      </template>
    </div>
    <div>
      <p class="kicker" aria-hidden="true">minutes for 5 % more, from</p>
      <ol class="steps" aria-label="Minutes for 5 percent more, from each state of charge">
        <li v-for="m in before" :key="m.soc">
          <span class="quiet figures">{{ m.soc.toFixed(0) }} %</span>
          <span class="bar" :style="{ inlineSize: `${(m.minutes_per_5 / most) * 100}%` }" />
          <span class="figures">{{ m.minutes_per_5.toFixed(1) }}<span class="sr-only"> min</span></span>
        </li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.next {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 10px 30px;
}

.next > div {
  display: flex;
  flex-direction: column;
  gap: 5px;
}

.lead strong {
  white-space: nowrap;
}

.open {
  color: var(--ochre-text);
}

.steps {
  display: grid;
  grid-auto-flow: column;
  grid-template-rows: repeat(7, auto);
  gap: 1px 26px;
  margin: 0;
  padding: 0;
  font-size: 13px;
  list-style: none;
}

.steps li {
  display: grid;
  grid-template-columns: 38px minmax(0, 1fr) 34px;
  gap: 6px;
  align-items: center;
  line-height: 1.35;
}

.steps .figures:last-child {
  text-align: right;
}

.bar {
  height: 7px;
  background: var(--line-strong);
}

@media (width <= 720px) {
  .next {
    grid-template-columns: minmax(0, 1fr);
  }

  .steps {
    grid-auto-flow: row;
    grid-template-rows: none;
  }
}
</style>
