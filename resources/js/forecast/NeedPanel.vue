<script setup lang="ts">
import { computed } from 'vue';
import { usual, useForecast } from '@/stores/forecast';
import { useRail } from '@/stores/rail';
import NeedSlider from './NeedSlider.vue';
import NeedSwitch from './NeedSwitch.vue';
import NeedTemperature from './NeedTemperature.vue';

/** What the driver wants and expects. Every change is forecast at once. */
const forecast = useForecast();
const rail = useRail();

const need = computed(() => forecast.need);
const outlet = computed(() => rail.outlet?.spec);
const isDc = computed(() => outlet.value?.current !== 'ac');
const hasCabinet = computed(() => Boolean(outlet.value?.cabinet));
const isNeighbourThere = computed(() => outlet.value?.cabinet?.partner_active === true);
const isCooled = computed(() => outlet.value?.cable?.cooled === true);
const hasHeat = computed(() => (forecast.main?.heat.length ?? 0) > 0);
const hasMembership = computed(() => Boolean(outlet.value?.tariff?.membership));
const isUsual = computed(() => JSON.stringify(need.value) === JSON.stringify(usual));

const span = computed({
  get: () => [need.value.fromSoc, need.value.toSoc],
  set: (value) => {
    const [from = 0, to = 100] = Array.isArray(value) ? value : [];
    forecast.need = { ...need.value, fromSoc: Math.min(from, 99), toSoc: Math.max(to, Math.min(from, 99) + 1) };
  },
});
/** A switch that puts a usual value where there was none. */
const optional = (key: 'neighbourAtMinute' | 'deratedKw' | 'nextStopKw', start: number) =>
  computed({
    get: () => need.value[key] !== null,
    set: (on: boolean) => (forecast.need = { ...need.value, [key]: on ? start : null }),
  });
const hasNeighbour = optional('neighbourAtMinute', 10);
const isDerated = optional('deratedKw', 60);
const hasNextStop = optional('nextStopKw', 100);
</script>

<template>
  <section class="panel" aria-labelledby="need-title">
    <div class="head">
      <h2 id="need-title">The need</h2>
      <button v-if="!isUsual" type="button" class="text-button" @click="forecast.need = { ...usual }">as usual</button>
    </div>

    <div class="two">
      <span class="row" aria-hidden="true">
        <span>arrive with, charge to</span>
        <span class="figures says">{{ need.fromSoc }} → {{ need.toSoc }} %</span>
      </span>
      <el-slider
        v-model="span"
        range
        :min="0"
        :max="100"
        :show-tooltip="false"
        range-start-label="arrive with"
        range-end-label="charge to"
        :format-value-text="(v: number) => `${v} %`"
      />
    </div>
    <NeedTemperature v-model="forecast.need.ambientC" label="ambient" :min-c="-25" :max-c="50" />
    <NeedSwitch v-model="forecast.need.isPrepared" label="pack warmed up on the way" :disabled="!isDc" />
    <NeedTemperature
      v-if="!need.isPrepared && isDc"
      v-model="forecast.need.packC"
      label="pack temperature"
      :min-c="-25"
      :max-c="40"
    />
    <template v-if="isDc">
      <NeedSwitch v-model="hasNeighbour" label="a neighbour arrives" :disabled="isNeighbourThere" />
      <p v-if="isNeighbourThere" class="small quiet">The plate says one is there already.</p>
      <p v-else-if="!hasCabinet && need.neighbourAtMinute !== null" class="small quiet">
        Nothing about a shared cabinet is on this outlet's plate.
      </p>
      <NeedSlider
        v-if="need.neighbourAtMinute !== null && !isNeighbourThere"
        v-model="forecast.need.neighbourAtMinute!"
        label="after"
        :says="`${need.neighbourAtMinute} min`"
        :min="0"
        :max="60"
      />
    </template>
    <template v-if="hasHeat">
      <NeedSlider
        v-model="forecast.need.ageing"
        label="rating left after wear"
        :says="`${Math.round(need.ageing * 100)} %`"
        :min="0.5"
        :max="1"
        :step="0.01"
      />
      <NeedSlider
        v-model="forecast.need.warmth"
        label="warm from earlier use"
        :says="need.warmth === 0 ? 'cold' : `${Math.round(need.warmth * 100)} % of its heat`"
        :min="0"
        :max="1"
        :step="0.05"
      />
      <NeedSlider
        v-if="need.warmth > 0"
        v-model="forecast.need.restedMinutes"
        label="rested since"
        :says="`${need.restedMinutes} min`"
        :min="0"
        :max="120"
        :step="5"
      />
    </template>

    <details open>
      <summary>Faults, price and the next stop</summary>
      <NeedSwitch v-if="isCooled" v-model="forecast.need.coolingFailed" label="cable's cooling has failed" />
      <template v-if="isDc">
        <NeedSwitch v-model="isDerated" label="stall gives less than its plate" />
        <NeedSlider
          v-if="need.deratedKw !== null"
          v-model="forecast.need.deratedKw!"
          label="no more than"
          :says="`${need.deratedKw} kW`"
          :min="5"
          :max="250"
          :step="5"
        />
      </template>
      <NeedSwitch v-model="forecast.need.isMember" label="I am a member here" :disabled="!hasMembership" />
      <NeedSlider
        v-model="forecast.need.idleMinutes"
        label="plugged in after the end"
        :says="`${need.idleMinutes} min`"
        :min="0"
        :max="120"
        :step="5"
      />
      <NeedSwitch v-model="hasNextStop" label="I stop again on the way" />
      <NeedSlider
        v-if="need.nextStopKw !== null"
        v-model="forecast.need.nextStopKw!"
        label="the next stop gives"
        :says="`${need.nextStopKw} kW`"
        :min="5"
        :max="300"
        :step="5"
      />
    </details>
  </section>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 7px;
  font-size: 14px;
}

.head,
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  line-height: 1.25;
}

.says {
  font-weight: 640;
}

.head {
  min-height: 30px;
}

.small {
  margin-top: -6px;
  font-size: 13px;
}

details {
  margin-top: 6px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
}

details[open] {
  display: flex;
  flex-direction: column;
  gap: 7px;
}

summary {
  cursor: pointer;
  font-weight: 600;
}
</style>
