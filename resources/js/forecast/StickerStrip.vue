<script setup lang="ts">
import { computed } from 'vue';
import type { Forecasts } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { kw } from '@/ui/words';

/** The number on the sticker against what the plate gives at the volts of a pack. */
const props = defineProps<{ sticker: Forecasts['sticker'] }>();
const garage = useGarage();

const outlet = computed(() => garage.outlet(props.sticker.outlet));
const isAc = computed(() => outlet.value?.spec.current === 'ac');
const most = computed(() =>
  Math.max(props.sticker.sticker_kw ?? 0, ...props.sticker.at_volts.map((a) => a.kw ?? 0), 1),
);
const cars = computed(() =>
  props.sticker.cars.map((c) => ({
    ...c,
    name: garage.vehicle(c.vehicle)?.name ?? '',
    says:
      c.least_kw === null
        ? 'does not meet it, or its volts are not known'
        : c.least_kw === c.most_kw
          ? `${kw(c.least_kw)} kW at ${c.least_v} V`
          : `${kw(c.least_kw)} to ${kw(c.most_kw)} kW, from ${c.least_v} to ${c.most_v} V`,
  })),
);
</script>

<template>
  <p v-if="isAc">
    An AC outlet: its volts and amps do not depend on the pack. The onboard charger, the supply and the portable supply
    set the power.
  </p>
  <div v-else class="strip">
    <div>
      <p class="lead">
        <template v-if="sticker.sticker_kw === null">What its sticker says is not read.</template>
        <template v-else>
          The sticker says <strong class="figures">{{ kw(sticker.sticker_kw) }} kW</strong>. The plate gives:
        </template>
      </p>
      <ol class="volts">
        <li v-for="a in sticker.at_volts" :key="a.v">
          <span class="column" aria-hidden="true">
            <span
              v-if="sticker.sticker_kw"
              class="sticker"
              :style="{ blockSize: `${(sticker.sticker_kw / most) * 100}%` }"
            />
            <span class="plate" :style="{ blockSize: `${((a.kw ?? 0) / most) * 100}%` }" />
          </span>
          <strong class="figures">{{ a.kw === null ? '?' : a.kw === 0 ? 'none' : kw(a.kw) }}</strong>
          <span class="quiet figures">at {{ a.v }} V</span>
        </li>
      </ol>
    </div>
    <div>
      <p class="lead">At the volts these cars put on the plug, each up to what it takes, if it joins at all:</p>
      <dl>
        <template v-for="c in cars" :key="c.vehicle">
          <dt>{{ c.name }}</dt>
          <dd class="figures" :class="{ quiet: c.least_kw === null }">{{ c.says }}</dd>
        </template>
      </dl>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 14px 34px;
}

.volts {
  display: flex;
  gap: 18px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

.volts li {
  display: flex;
  flex: 1;
  flex-direction: column;
  align-items: center;
  font-size: 13.5px;
  line-height: 1.3;
}

.column {
  position: relative;
  display: flex;
  align-items: flex-end;
  width: 100%;
  max-width: 52px;
  height: 96px;
  border-bottom: 1.5px solid var(--ink);
}

.plate {
  width: 100%;
  background: var(--ink-soft);
}

.sticker {
  position: absolute;
  inset: auto 0 0;
  border: 1.5px dashed var(--line-strong);
  border-bottom: 0;
}

dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 16px;
  align-content: start;
  margin: 6px 0 0;
}

dt {
  font-weight: 600;
}

dd {
  margin: 0;
}

@media (width <= 720px) {
  .strip {
    grid-template-columns: minmax(0, 1fr);
  }

  .volts {
    gap: 8px;
  }
}
</style>
