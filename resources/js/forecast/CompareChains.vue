<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import { MOST_BESIDE, useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { duration, kw, money, number } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';

/** Up to three chains under the same need: A is the one in the rail. */
const forecast = useForecast();
const rail = useRail();
const garage = useGarage();

const rows = computed(() => [forecast.main, ...forecast.others].filter((f): f is Forecast => f !== null));
const isKept = computed(() => forecast.others.length >= MOST_BESIDE);

function heldBy(f: Forecast): string {
  const code = f.longest_binding;
  return code
    ? say('compare.held_by', { link: f.bindings[code]?.label ?? '', minutes: duration(f.minutes_by_binding[code]) })
    : (f.stopped ?? '');
}

const LETTERS = ['A', 'B', 'C'];
const isSame = (f: Forecast, i: number) => i > 0 && f.chain.join() === rows.value[0]?.chain.join();

function nameOf(f: Forecast): string {
  const ends = {
    car: garage.vehicle(f.answer.vehicle)?.name ?? '',
    outlet: garage.outlet(f.answer.outlet)?.name ?? '',
  };
  const adapters = listed('plus', f.answer.adapters.map(garage.tag));
  return adapters ? say('compare.name_through', { ...ends, adapters }) : say('compare.name', ends);
}

function keep(): void {
  const main = forecast.main;
  if (main) {
    const { outlet, vehicle, adapters } = main.answer;
    forecast.keepBeside({ outlet, vehicle, adapters });
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
          <th scope="col">{{ say('compare.chain') }}</th>
          <th scope="col" class="number">{{ say('compare.minutes') }}</th>
          <th scope="col" class="number">{{ say('unit.kwh') }}</th>
          <th scope="col" class="number">{{ say('compare.price') }}</th>
          <th scope="col" class="number">{{ say('compare.peak') }}</th>
          <th scope="col">{{ say('compare.held') }}</th>
          <th scope="col">
            <span class="sr-only">{{ say('compare.acts') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(f, i) in rows" :key="f.chain.join() + i">
          <th scope="row">
            <svg width="30" height="10" aria-hidden="true"><path d="M0 5H30" :class="`line l${i}`" /></svg>
            {{ say('compare.named', { letter: LETTERS[i] ?? '', name: nameOf(f) }) }}
            <span v-if="isSame(f, i)" class="quiet kept">{{ say('compare.same') }}</span>
          </th>
          <td class="number figures">
            {{ f.minutes === null ? f.answer.title : duration(f.minutes) }}
          </td>
          <td class="number figures" :data-unit="say('unit.kwh')">
            {{ number(f.minutes === null ? null : f.plug_kwh, 1) }}
          </td>
          <td class="number figures">
            {{
              f.minutes === null
                ? number(null)
                : f.cost?.at_least && f.cost.amount
                  ? say('figure.at_least', { figure: money(f.cost.amount, f.cost.currency) })
                  : money(f.cost?.amount, f.cost?.currency)
            }}
          </td>
          <td class="number figures" :data-unit="say('unit.kw')">
            <Said v-if="f.answer.at_most" code="board.at_most_kw" :figures="{ kw: kw(f.peak_kw) }"
              ><template #at_most
                ><small>{{ say('board.at_most') }}</small></template
              ></Said
            >
            <template v-else>{{ kw(f.peak_kw) }}</template>
          </td>
          <td class="held">{{ heldBy(f) }}</td>
          <td class="acts">
            <template v-if="i > 0">
              <TextButton :words="say('compare.choose')" :of="nameOf(f)" @click="choose(i)" />
              <TextButton :words="say('compare.leave_out')" :of="nameOf(f)" @click="forecast.leaveOut(i - 1)" />
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="keep">
      <el-button :disabled="rows.length === 0" @click="keep">
        {{ isKept ? say('compare.keep_newest') : say('compare.keep') }}
      </el-button>
      <span class="quiet">{{ say('compare.how') }}</span>
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
  padding-block: var(--space-2);
  padding-inline: 0 var(--space-6);
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: start;
  vertical-align: top;
}

thead th {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

tbody th {
  font-weight: 600;
}

tbody .kept {
  font-weight: 400;
}

.number {
  text-align: end;
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
  margin-inline-start: var(--space-6);
}

.keep {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-7);
  align-items: center;
  margin-top: var(--space-6);
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
    gap: var(--space-1) var(--space-6);
    padding: var(--space-4) 0;
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
