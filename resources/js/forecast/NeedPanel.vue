<script setup lang="ts">
import { computed } from 'vue';
import { useForecast, type Need } from '@/stores/forecast';
import { useRail } from '@/stores/rail';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { percent, soc } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import NeedSlider from './NeedSlider.vue';
import NeedSwitch from './NeedSwitch.vue';
import NeedTemperature from './NeedTemperature.vue';

/** What the driver needs and expects. Every change updates the forecast. */
const forecast = useForecast();
const rail = useRail();
const terms = useTerms();
const units = useUnits();

const need = computed(() => forecast.need);
const outlet = computed(() => rail.outlet?.spec);
const isDc = computed(() => outlet.value?.current !== 'ac');
const hasCabinet = computed(() => Boolean(outlet.value?.cabinet));
const isNeighbourThere = computed(() => outlet.value?.cabinet?.partner_active === true);
const isCooled = computed(() => outlet.value?.cable?.cooled === true);
const hasHeat = computed(() => (forecast.main?.heat.length ?? 0) > 0);
const hasMembership = computed(() => Boolean(outlet.value?.tariff?.membership));

const span = computed({
  get: () => [need.value.fromSoc, need.value.toSoc],
  set: (value) => {
    const [from = 0, to = 100] = Array.isArray(value) ? value : [];
    forecast.want({ fromSoc: Math.min(from, 99), toSoc: Math.max(to, Math.min(from, 99) + 1) });
  },
});
/** One figure of the need, to be moved. */
const wanted = <K extends keyof Need>(key: K) =>
  computed({ get: () => need.value[key], set: (value: Need[K]) => forecast.want({ [key]: value }) });
/** A switch that puts a usual value where there was none. */
const optional = (
  key: 'neighbourAtMinute' | 'neighbourLeavesAtMinute' | 'deratedKw' | 'nextStopKw' | 'preparedMinutes' | 'km',
  begins: number,
) =>
  computed({
    get: () => need.value[key] !== null,
    set: (on: boolean) => forecast.want({ [key]: on ? begins : null }),
  });
const { begins } = terms.known().need;
const isByDistance = optional('km', begins.km);
const runsHeater = optional('preparedMinutes', begins.prepared_minutes);
const leavesAgain = optional('neighbourLeavesAtMinute', begins.neighbour_leaves_at_minute);
const hasNeighbour = optional('neighbourAtMinute', begins.neighbour_at_minute);
const isDerated = optional('deratedKw', begins.derated_kw);
const hasNextStop = optional('nextStopKw', begins.next_stop_kw);
const ambientC = wanted('ambientC');
const isPrepared = wanted('isPrepared');
const packC = wanted('packC');
const preparedMinutes = wanted('preparedMinutes');
const reserveSoc = wanted('reserveSoc');
const fromSoc = computed({
  get: () => need.value.fromSoc,
  set: (value: number) => forecast.want({ fromSoc: value, toSoc: Math.max(need.value.toSoc, value + 1) }),
});
/** Along the road, moved in whole kilometres or miles of the garage. */
const road = computed({
  get: () => Math.round(units.entry('km').show(need.value.km ?? begins.km)),
  set: (shown: number) => forecast.want({ km: units.entry('km').store(shown) }),
});
const neighbourAtMinute = wanted('neighbourAtMinute');
const neighbourLeavesAtMinute = wanted('neighbourLeavesAtMinute');
const comesOrIsThere = computed(() => isNeighbourThere.value || need.value.neighbourAtMinute !== null);
const ratingLeft = wanted('ratingLeft');
const warmth = wanted('warmth');
const restedMinutes = wanted('restedMinutes');
const coolingFailed = wanted('coolingFailed');
const deratedKw = wanted('deratedKw');
const isMember = wanted('isMember');
const idleMinutes = wanted('idleMinutes');
const nextStopKw = wanted('nextStopKw');
/** A word for it, or its figure. */
const FIGURE = 'figure';
const cabin = computed({
  get: () => (need.value.cabinKw === null ? need.value.cabin : FIGURE),
  set: (chosen: string) => {
    const word = (['off', 'mild', 'strong'] as const).find((w) => w === chosen);
    forecast.want(word ? { cabin: word, cabinKw: null } : { cabinKw: begins.cabin_kw });
  },
});
const cabinKw = wanted('cabinKw');
const isTowing = wanted('isTowing');
const minutes = (n: number) => say('figure.minutes', { n });
const kw = (n: number) => say('figure.kw', { n });
</script>

<template>
  <section class="panel" aria-labelledby="need-title">
    <div class="head">
      <h2 id="need-title">{{ say('need.title') }}</h2>
      <TextButton v-if="!forecast.isUsual" @click="forecast.wantUsual">
        {{ say('need.usual') }}
      </TextButton>
    </div>

    <template v-if="isByDistance">
      <NeedSlider v-model="fromSoc" :label="say('need.from')" :says="soc(fromSoc)" :min="0" :max="99" />
      <NeedSlider
        v-model="road"
        :label="say('need.go_on')"
        :says="units.road(need.km ?? begins.km)"
        :min="5"
        :max="Math.round(units.entry('km').show(800))"
        :step="5"
      />
      <NeedSlider v-model="reserveSoc" :label="say('need.reserve')" :says="soc(reserveSoc)" :min="0" :max="50" />
    </template>
    <div v-else class="two">
      <span class="row" aria-hidden="true">
        <span>{{ say('need.from_to') }}</span>
        <span class="figures says">{{ say('need.span', { from: need.fromSoc, to: need.toSoc }) }}</span>
      </span>
      <el-slider
        v-model="span"
        range
        :min="0"
        :max="100"
        :show-tooltip="false"
        :range-start-label="say('need.from')"
        :range-end-label="say('need.to')"
        :format-value-text="(v: number) => soc(v)"
      />
    </div>
    <NeedSwitch v-model="isByDistance" :label="say('need.by_distance')" />
    <NeedTemperature v-model="ambientC" :label="say('need.ambient')" :min-c="-25" :max-c="50" />
    <NeedSwitch v-model="isTowing" :label="say('need.towing')" />
    <label class="row">
      {{ say('need.cabin') }}
      <select v-model="cabin">
        <option v-for="word in terms.all('cabin')" :key="word.id" :value="word.id">{{ word.words }}</option>
        <option :value="FIGURE">{{ say('need.cabin_figure') }}</option>
      </select>
    </label>
    <NeedSlider
      v-if="cabinKw !== null"
      v-model="cabinKw"
      :label="say('need.cabin_kw')"
      :says="kw(cabinKw)"
      :min="0.1"
      :max="6"
      :step="0.1"
    />
    <NeedSwitch v-model="isPrepared" :label="say('need.prepared')" :disabled="!isDc" />
    <NeedTemperature
      v-if="!need.isPrepared && isDc"
      v-model="packC"
      :label="say('need.pack')"
      :min-c="-25"
      :max-c="40"
    />
    <template v-if="!need.isPrepared && isDc">
      <NeedSwitch v-model="runsHeater" :label="say('need.heater_runs')" />
      <NeedSlider
        v-if="preparedMinutes !== null"
        v-model="preparedMinutes"
        :label="say('need.runs_for')"
        :says="minutes(preparedMinutes)"
        :min="1"
        :max="90"
      />
    </template>
    <template v-if="isDc">
      <NeedSwitch v-model="hasNeighbour" :label="say('need.neighbour')" :disabled="isNeighbourThere" />
      <p v-if="isNeighbourThere" class="small quiet">{{ say('need.neighbour_there') }}</p>
      <p v-else-if="!hasCabinet && need.neighbourAtMinute !== null" class="small quiet">
        {{ say('need.no_cabinet') }}
      </p>
      <NeedSlider
        v-if="neighbourAtMinute !== null && !isNeighbourThere"
        v-model="neighbourAtMinute"
        :label="say('need.after')"
        :says="minutes(neighbourAtMinute)"
        :min="0"
        :max="60"
      />
      <template v-if="comesOrIsThere">
        <NeedSwitch v-model="leavesAgain" :label="say('need.leaves')" />
        <NeedSlider
          v-if="neighbourLeavesAtMinute !== null"
          v-model="neighbourLeavesAtMinute"
          :label="say('need.after')"
          :says="minutes(neighbourLeavesAtMinute)"
          :min="0"
          :max="90"
        />
      </template>
    </template>
    <template v-if="hasHeat">
      <NeedSlider
        v-model="ratingLeft"
        :label="say('need.rating_left')"
        :says="percent(ratingLeft)"
        :min="0.5"
        :max="1"
        :step="0.01"
      />
      <NeedSlider
        v-model="warmth"
        :label="say('need.warmth')"
        :says="warmth === 0 ? say('need.cold') : say('need.warmth_says', { percent: percent(warmth) })"
        :min="0"
        :max="1"
        :step="0.05"
      />
      <NeedSlider
        v-if="warmth > 0"
        v-model="restedMinutes"
        :label="say('need.rested')"
        :says="minutes(restedMinutes)"
        :min="0"
        :max="120"
        :step="5"
      />
    </template>

    <details open>
      <summary>{{ say('need.more') }}</summary>
      <NeedSwitch v-if="isCooled" v-model="coolingFailed" :label="say('need.cooling_failed')" />
      <template v-if="isDc">
        <NeedSwitch v-model="isDerated" :label="say('need.derated')" />
        <NeedSlider
          v-if="deratedKw !== null"
          v-model="deratedKw"
          :label="say('need.no_more_than')"
          :says="kw(deratedKw)"
          :min="5"
          :max="250"
          :step="5"
        />
      </template>
      <NeedSwitch v-model="isMember" :label="say('need.member')" :disabled="!hasMembership" />
      <NeedSlider
        v-model="idleMinutes"
        :label="say('need.idle')"
        :says="minutes(idleMinutes)"
        :min="0"
        :max="120"
        :step="5"
      />
      <NeedSwitch v-model="hasNextStop" :label="say('need.next_stop')" />
      <NeedSlider
        v-if="nextStopKw !== null"
        v-model="nextStopKw"
        :label="say('need.next_stop_gives')"
        :says="kw(nextStopKw)"
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
  gap: var(--space-3);
  font-size: var(--size-label);
}

.head,
.row {
  display: flex;
  gap: var(--space-5);
  align-items: center;
  justify-content: space-between;
  line-height: 1.25;
}

.says {
  white-space: nowrap;
  font-weight: 640;
}

.head {
  min-height: 30px;
}

.small {
  margin-top: calc(-1 * var(--space-3));
  font-size: var(--size-small);
}

details {
  margin-top: var(--space-3);
  padding-top: var(--space-4);
  border-top: 1px solid var(--line);
}

details[open] {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
}

summary {
  cursor: pointer;
  font-weight: 600;
}
</style>
