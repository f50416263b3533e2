<script setup lang="ts">
import { computed } from 'vue';
import type { Forecasts } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { kw, number, orAbout, quantity } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';

/** The advertised power compared with what the rating gives at a battery's voltage. */
const props = defineProps<{ sticker: Forecasts['sticker'] }>();
const garage = useGarage();

const kws = (n: number | null) => say('figure.kw', { n: kw(n) });
const outlet = computed(() => garage.outlet(props.sticker.outlet));
const isAc = computed(() => outlet.value?.spec.current === 'ac');
const most = computed(() =>
  Math.max(props.sticker.sticker_kw ?? 0, ...props.sticker.at_volts.map((a) => a.kw ?? 0), 1),
);
type OneCar = Forecasts['sticker']['cars'][number];

function gives(c: OneCar): string {
  return c.least_kw === c.most_kw
    ? say('sticker.one', { kw: kws(c.least_kw), volts: quantity(c.least_v ?? 0, 'v') })
    : say('sticker.span', {
        least: kw(c.least_kw),
        most: kws(c.most_kw),
        leastV: number(c.least_v),
        mostV: quantity(c.most_v ?? 0, 'v'),
      });
}

/** What the plate gives at the car's volts, beside what the car would take. */
function says(c: OneCar): string {
  if (c.least_kw === null) {
    return say('sticker.no_meeting');
  }
  if (c.takes_kw === null) {
    return gives(c);
  }
  return say('sticker.takes', {
    gives: gives(c),
    takes: orAbout(kws(c.takes_kw), c.takes_is_about),
  });
}

const cars = computed(() =>
  props.sticker.cars.map((c) => ({ ...c, name: garage.vehicle(c.vehicle)?.name ?? '', says: says(c) })),
);
</script>

<template>
  <p v-if="isAc">{{ say('sticker.ac') }}</p>
  <div v-else class="strip">
    <div>
      <p class="lead">
        <template v-if="sticker.sticker_kw === null">{{ say('sticker.unread') }}</template>
        <Said v-else code="sticker.says">
          <template #kw
            ><strong class="figures">{{ kws(sticker.sticker_kw) }}</strong></template
          >
        </Said>
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
          <strong class="figures">{{ a.kw === 0 ? say('sticker.gives_none') : kw(a.kw) }}</strong>
          <span class="quiet figures">{{ say('sticker.at', { volts: quantity(a.v, 'v') }) }}</span>
        </li>
      </ol>
    </div>
    <div>
      <p class="lead">{{ say('sticker.cars') }}</p>
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
  gap: var(--space-6) var(--space-10);
}

.volts {
  display: flex;
  gap: var(--space-7);
  margin: var(--space-3) 0 0;
  padding: 0;
  list-style: none;
}

.volts li {
  display: flex;
  flex: 1;
  flex-direction: column;
  align-items: center;
  font-size: var(--size-small);
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
  gap: var(--space-2) var(--space-7);
  align-content: start;
  margin: var(--space-3) 0 0;
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
    gap: var(--space-4);
  }
}
</style>
