<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, onUnmounted, ref, watch } from 'vue';
import AskForm from '@/plates/AskForm.vue';
import { useAccount } from '@/stores/account';
import { useBoard } from '@/stores/board';
import { useForecast } from '@/stores/forecast';
import { useRail } from '@/stores/rail';
import EmptyState from '@/ui/EmptyState.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import BindingLegend from './BindingLegend.vue';
import CompareChains from './CompareChains.vue';
import CursorLine from './CursorLine.vue';
import ForecastFigures from './ForecastFigures.vue';
import NeedPanel from './NeedPanel.vue';
import NextFive from './NextFive.vue';
import type { Axis } from './points';
import AssumptionsList from './AssumptionsList.vue';
import PowerChart from './PowerChart.vue';
import AdvertisedPowerStrip from './AdvertisedPowerStrip.vue';
import StopRanking from './StopRanking.vue';

const forecast = useForecast();
const rail = useRail();
const board = useBoard();
const account = useAccount();
const isWide = useMediaQuery('(width > 1180px)');
const axis = ref<Axis>('time');
const showsVoltsAmps = ref(false);

/** Shows nothing before the first answer that the answer would move. */
const isHere = computed(() => forecast.main !== null || forecast.error !== '');

const axes = [
  { label: say('forecast.over_time'), value: 'time' },
  { label: say('forecast.over_charge'), value: 'charge' },
];
const sheets = [
  { label: say('forecast.sheet_next'), value: 'next' },
  { label: say('forecast.sheet_compare'), value: 'compare' },
  { label: say('forecast.sheet_stops'), value: 'stops' },
  { label: say('forecast.sheet_sticker'), value: 'sticker' },
];
const units = [
  { label: say('forecast.metric'), value: 'metric' },
  { label: say('forecast.us'), value: 'us' },
];

// After a rating is edited the rail answers again, and so does the forecast.
watch(
  [() => forecast.chains, () => forecast.conditions, () => board.policy, () => board.kit, () => rail.answer],
  () => forecast.refresh(),
  { immediate: true },
);
onUnmounted(() => (forecast.cursorS = null));
</script>

<template>
  <EmptyState v-if="forecast.chains.length === 0" :title="say('forecast.empty')">
    <p>
      <Said code="forecast.empty_how">
        <template #board
          ><RouterLink to="/board">{{ say('screen.board') }}</RouterLink></template
        >
      </Said>
    </p>
  </EmptyState>
  <div v-else class="forecast">
    <section class="view" aria-labelledby="forecast-title">
      <Teleport defer to="#stage-tools" :disabled="!isWide">
        <div class="tools">
          <el-segmented v-model="axis" :options="axes" :aria-label="say('forecast.axis')" />
          <el-checkbox v-model="showsVoltsAmps">{{ say('forecast.volts_amps') }}</el-checkbox>
          <el-segmented
            :model-value="account.me?.garage?.units ?? 'metric'"
            :options="units"
            :aria-label="say('forecast.units')"
            @change="(u: string | number | boolean) => account.setHabits({ units: u === 'us' ? 'us' : 'metric' })"
          />
        </div>
      </Teleport>
      <h1 id="forecast-title" class="sr-only">
        {{ say('forecast.title', { car: rail.vehicle?.name ?? '', outlet: rail.outlet?.name ?? '' }) }}
      </h1>
      <p v-if="forecast.error" class="complaint" role="alert">
        {{ say(forecast.main ? 'forecast.last_stands' : 'forecast.not_here', { error: forecast.error }) }}
      </p>
      <template v-if="forecast.main && forecast.main.minutes !== null">
        <p v-if="forecast.main.answer.flows === 'maybe'" class="check">
          <strong>{{ say('forecast.check_first') }}</strong>
          {{ say('forecast.check_why', { why: forecast.main.answer.why }) }}
        </p>
        <p v-if="forecast.main.stop_words" class="check">{{ forecast.main.stop_words }}</p>
        <p v-for="note in forecast.main.notes" :key="note" class="quiet note">{{ note }}</p>
        <ForecastFigures :main="forecast.main" />
        <PowerChart
          v-model:cursor="forecast.cursorS"
          class="chart"
          :main="forecast.main"
          :others="forecast.others.filter((f) => f.points.length > 0)"
          :axis="axis"
          :shows-volts-amps="showsVoltsAmps"
        />
        <BindingLegend :main="forecast.main" />
        <CursorLine :main="forecast.main" />
        <AssumptionsList :facts="forecast.main.rests_on" />
      </template>
      <div v-else-if="forecast.main" class="none">
        <h2>{{ say('forecast.none', { outcome: forecast.main.answer.title }) }}</h2>
        <p>{{ forecast.main.stopped }}</p>
        <AskForm v-for="ask in forecast.main.asks" :key="ask.path" :ask="ask" />
      </div>
      <p v-if="!isHere && !forecast.error" class="quiet" role="status">{{ say('forecast.coming') }}</p>
      <div v-if="isHere" class="sheet">
        <el-segmented v-model="forecast.sheet" class="sheets" :options="sheets" :aria-label="say('forecast.sheets')" />
        <NextFive
          v-if="forecast.sheet === 'next' && forecast.main && forecast.main.minutes !== null"
          :main="forecast.main"
        />
        <CompareChains v-else-if="forecast.sheet === 'compare'" />
        <StopRanking v-else-if="forecast.sheet === 'stops'" />
        <AdvertisedPowerStrip
          v-else-if="forecast.sheet === 'sticker' && forecast.answer"
          :sticker="forecast.answer.sticker"
        />
      </div>
      <p v-if="isHere" class="quiet small">
        {{ say('forecast.no_promise') }}
      </p>
    </section>
    <aside v-if="isHere" class="need"><NeedPanel /></aside>
  </div>
</template>

<style scoped>
.forecast {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 318px;
  height: 100%;
}

.view {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
  overflow: auto;
  min-width: 0;
  padding: var(--space-6) var(--space-8) var(--space-7);
}

.chart {
  flex: 1 0 248px;
  max-height: 420px;
}

.tools {
  display: flex;
  gap: var(--space-7);
  align-items: center;
}

.note {
  font-size: var(--size-label);
}

.check {
  padding: var(--space-2) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

.check strong {
  color: var(--ochre-text);
}

.sheet {
  padding-top: var(--space-4);
  border-top: 1px solid var(--line);
}

.sheets {
  margin-bottom: var(--space-4);
}

.none {
  margin: var(--space-9) 0;
}

.small {
  font-size: var(--size-small);
}

.need {
  overflow: auto;
  padding: var(--space-5) var(--space-8) var(--space-8);
  border-inline-start: 1px solid var(--line);
  background: var(--paper-raised);
}

@media (width <= 900px) {
  .forecast {
    display: flex;
    flex-direction: column;
    gap: var(--space-4);
    height: auto;
    padding-top: var(--space-4);
  }

  /* One column: the sliders come right below the curve that they move. */
  .view {
    display: contents;
  }

  .view > * {
    margin-inline: var(--space-6);
  }

  .need {
    overflow: visible;
    order: 1;
    padding: var(--space-4) var(--space-6) var(--space-7);
    border-inline-start: 0;
  }

  .sheet,
  .small {
    order: 2;
    margin-bottom: var(--space-6);
  }

  .chart {
    flex: none;
    height: 260px;
  }

  .tools {
    flex-wrap: wrap;
  }
}
</style>
