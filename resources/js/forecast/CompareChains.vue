<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import { MOST_BESIDE, useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useRail, vehicleOf } from '@/stores/rail';
import { duration, kw, money, outcomeWords } from '@/ui/words';
import { label } from './points';

/** Up to three chains under the same need: A is the one in the rail. */
const forecast = useForecast();
const rail = useRail();
const garage = useGarage();

const rows = computed(() => [forecast.main, ...forecast.others].filter((f): f is Forecast => f !== null));
const isKept = computed(() => forecast.others.length >= MOST_BESIDE);

function heldBy(f: Forecast): string {
  const code = f.longest_binding;
  return code ? `${label(f.bindings[code]?.words)}, ${duration(f.minutes_by_binding[code])}` : (f.stopped ?? '');
}

const isSame = (f: Forecast, i: number) => i > 0 && f.chain.join() === rows.value[0]?.chain.join();

function nameOf(f: Forecast): string {
  const vehicle = garage.vehicle(vehicleOf(f.chain))?.name ?? '';
  const tags = f.answer.adapters.map(garage.tag).join(' + ');
  return `${vehicle} at ${garage.outlet(f.chain[0] ?? null)?.name ?? ''}${tags ? `, ${tags}` : ''}`;
}

function keep(): void {
  const main = forecast.main;
  const [outlet, vehicle] = [main?.chain[0], vehicleOf(main?.chain)];
  if (main && outlet && vehicle) {
    forecast.keepBeside({ outlet, vehicle, adapters: main.answer.adapters });
  }
}

function choose(index: number): void {
  const chain = forecast.chains[index];
  if (chain) {
    void rail.choose({ outlet: chain.outlet, vehicle: chain.vehicle, adapters: chain.adapters });
  }
}
</script>

<template>
  <div>
    <table v-if="rows.length > 1">
      <thead>
        <tr>
          <th scope="col">chain</th>
          <th scope="col" class="number">minutes</th>
          <th scope="col" class="number">kWh</th>
          <th scope="col" class="number">price</th>
          <th scope="col" class="number">peak kW</th>
          <th scope="col">held longest by</th>
          <th scope="col"><span class="sr-only">acts</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(f, i) in rows" :key="f.chain.join() + i">
          <th scope="row">
            <svg width="30" height="10" aria-hidden="true"><path d="M0 5H30" :class="`line l${i}`" /></svg>
            {{ 'ABC'[i] }} {{ nameOf(f) }}
            <span v-if="isSame(f, i)" class="quiet kept">kept, the same as A until a piece is swapped</span>
          </th>
          <td class="number figures">{{ f.minutes === null ? outcomeWords[f.outcome] : duration(f.minutes) }}</td>
          <td class="number figures" data-unit="kWh">{{ f.minutes === null ? '–' : f.plug_kwh.toFixed(1) }}</td>
          <td class="number figures">
            {{ f.minutes === null ? '–' : money(f.cost?.amount, f.cost?.currency) }}
          </td>
          <td class="number figures" data-unit="kW">{{ kw(f.peak_kw) }}</td>
          <td class="held">{{ heldBy(f) }}</td>
          <td class="acts">
            <template v-if="i > 0">
              <button type="button" class="text-button" @click="choose(i)">
                choose<span class="sr-only"> {{ nameOf(f) }}</span>
              </button>
              <button type="button" class="text-button" @click="forecast.leaveOut(i - 1)">
                leave out<span class="sr-only"> {{ nameOf(f) }}</span>
              </button>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="keep">
      <el-button :disabled="rows.length === 0" @click="keep">
        {{ isKept ? 'Keep this chain, leave out the oldest' : 'Keep this chain to compare' }}
      </el-button>
      <span class="quiet">Then swap a piece in the rail, or pick “compare” under Where to go.</span>
    </p>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 5px 14px 5px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}

thead th {
  color: var(--ink-soft);
  font-size: 13px;
}

tbody th {
  font-weight: 600;
}

tbody .kept {
  font-weight: 400;
}

.number {
  text-align: right;
  white-space: nowrap;
}

.held {
  white-space: nowrap;
}

.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

.l0 {
  stroke: var(--copper);
  stroke-width: 3;
}

.l1 {
  stroke-dasharray: 8 4;
}

.l2 {
  stroke-dasharray: 2 4;
}

.acts {
  white-space: nowrap;
}

.acts button + button {
  margin-left: 12px;
}

.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  margin-top: 12px;
}

/* On a phone each chain is a small sheet of its own. */
@media (width <= 720px) {
  table,
  tbody {
    display: block;
  }

  thead {
    display: none;
  }

  tr {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }

  th,
  td {
    padding: 0;
    border: 0;
  }

  th,
  td.held,
  td.acts {
    flex-basis: 100%;
  }

  td[data-unit]::after {
    content: ' ' attr(data-unit);
  }
}
</style>
