<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Stop } from '@/api/client';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import JointGlyph from '@/ui/JointGlyph.vue';
import { duration, money, orAbout } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import { useRanking } from './useRanking';

/** Where to go: every outlet for this car and this need, in one of three orders, each with its reason. */
const rail = useRail();
const garage = useGarage();
const forecast = useForecast();
const { stops, error } = useRanking();
const order = ref<'time' | 'money' | 'risk'>('time');
const orders = [
  { label: say('stops.by_time'), value: 'time' },
  { label: say('stops.by_money'), value: 'money' },
  { label: say('stops.by_risk'), value: 'risk' },
];

const sorted = computed(() => [...stops.value].sort((a, b) => a.places[order.value] - b.places[order.value]));
const given = computed(() => sorted.value.filter((s) => s.minutes !== null));
const none = computed(() => sorted.value.filter((s) => s.minutes === null));
const place = (id: string) => garage.sections.find((p) => p.outlets.some((o) => o.id === id))?.name ?? '';
const name = (id: string) => garage.outlet(id)?.name ?? id;

function keepBeside(stop: Stop): void {
  if (rail.pick.vehicle) {
    forecast.keepBeside({ outlet: stop.outlet, vehicle: rail.pick.vehicle, adapters: stop.adapters });
  }
}
</script>

<template>
  <div>
    <div class="head">
      <p>
        {{
          say('stops.lead', {
            car: rail.vehicle?.name ?? '',
            from: forecast.need.fromSoc,
            to: Math.round(forecast.main?.soc_to ?? forecast.need.toSoc),
            n: given.length,
            all: stops.length,
          })
        }}
      </p>
      <el-segmented v-model="order" :options="orders" :aria-label="say('stops.order')" />
    </div>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <ol class="stops">
      <li v-for="s in given" :key="s.outlet" :class="{ here: s.outlet === rail.outlet?.id }">
        <JointGlyph :outcome="s.outcome" :tags="s.adapters.map(garage.tag)" />
        <div class="what">
          <TextButton @click="rail.choose({ outlet: s.outlet })">
            {{ name(s.outlet) }}
          </TextButton>
          <span class="quiet place">{{ place(s.outlet) }}</span>
          <span class="reason">{{ s.reasons[order] }}</span>
        </div>
        <span class="figures number">{{ orAbout(duration(s.minutes), s.about) }}</span>
        <span class="figures number">{{
          s.amount === null
            ? say('figure.unknown')
            : s.at_least
              ? say('figure.at_least', { figure: money(s.amount, s.currency) })
              : money(s.amount, s.currency)
        }}</span>
        <TextButton
          class="beside"
          :aria-label="say('stops.compare_with', { outlet: name(s.outlet) })"
          @click="keepBeside(s)"
        >
          {{ say('stops.compare') }}
        </TextButton>
      </li>
    </ol>
    <details v-if="none.length > 0">
      <summary>{{ say('stops.none', { n: none.length }) }}</summary>
      <ul class="none">
        <li v-for="s in none" :key="s.outlet">
          <strong :class="s.outcome">{{ say('stops.none_why', { outlet: name(s.outlet), outcome: s.title }) }}</strong>
          {{ s.reasons[order] }}
        </li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-8);
  align-items: center;
  justify-content: space-between;
  margin-bottom: var(--space-2);
}

.stops {
  margin: 0;
  padding: 0;
  list-style: none;
}

.stops li {
  display: grid;
  grid-template-columns: 66px minmax(0, 1fr) auto auto auto;
  gap: var(--space-2) var(--space-7);
  align-items: center;
  padding-block: var(--space-3);
  padding-inline: var(--space-4) 0;
  border-bottom: 1px solid var(--line);
}

.stops .here {
  box-shadow: inset 3px 0 0 var(--ink);
}

.what {
  line-height: 1.3;
}

.place {
  margin-inline-start: var(--space-4);
}

.reason {
  display: block;
  font-size: var(--size-small);
}

.number {
  min-width: 74px;
  font-weight: 640;
  text-align: end;
}

.beside {
  font-size: var(--size-small);
}

details {
  margin-top: var(--space-4);
}

summary {
  cursor: pointer;
}

.none {
  padding-inline-start: var(--space-7);
  font-size: var(--size-small);
}

.none .hazard {
  color: var(--brick-text);
}

@media (width <= 720px) {
  .stops li {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }

  .stops li > :first-child {
    display: none;
  }

  .what {
    grid-column: 1 / -1;
  }
}
</style>
