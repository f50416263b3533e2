<script setup lang="ts">
import { computed } from 'vue';
import type { SmallestKit } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { kw } from '@/ui/figures';
import { say } from '@/words/say';

/** The board as it would be with the adapters of one step: kW of every pair that charges, those of the step marked. */
const props = defineProps<{ purchase: SmallestKit['purchases'][number]; now: SmallestKit['now'] }>();
const MOST_ROWS = 60;
const garage = useGarage();

const byPair = (reached: SmallestKit['now']) => new Map(reached.map((r) => [`${r.outlet} ${r.vehicle}`, r]));
const before = computed(() => byPair(props.now));
const changed = computed(() => byPair([...props.purchase.newly, ...props.purchase.faster]));
const rows = computed(() =>
  garage.outlets.slice(0, MOST_ROWS).map((outlet) => ({
    id: outlet.id,
    name: outlet.name,
    cells: garage.cars.map((car) => {
      const step = changed.value.get(`${outlet.id} ${car.id}`);
      const reached = step ?? before.value.get(`${outlet.id} ${car.id}`);
      return {
        car: car.id,
        isNew: step !== undefined,
        words: reached ? kw(reached.expected_peak_kw) : say('figure.none'),
      };
    }),
  })),
);
</script>

<template>
  <div class="step-board">
    <table>
      <caption class="quiet">
        {{
          say('more.board_key')
        }}
      </caption>
      <thead>
        <tr>
          <td />
          <th v-for="car in garage.cars" :key="car.id" scope="col">{{ car.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.name }}</th>
          <td v-for="c in row.cells" :key="c.car" class="figures" :class="{ fresh: c.isNew }">
            {{ c.words }}<span v-if="c.isNew" class="sr-only"> {{ say('more.is_new') }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.step-board {
  overflow-x: auto;
}

table {
  border-collapse: collapse;
  font-size: var(--size-note);
}

caption {
  text-align: start;
}

th,
td {
  padding: var(--space-1) var(--space-2);
  border-bottom: 1px solid var(--line);
  text-align: end;
  font-weight: 400;
}

tbody th {
  text-align: start;
}

.fresh {
  background: var(--copper-wash);
  font-weight: 700;
}
</style>
