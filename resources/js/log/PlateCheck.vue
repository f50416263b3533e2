<script setup lang="ts">
import type { PlateRow } from '@/api/client';
import PlateBar from '@/ui/PlateBar.vue';
import { number, percent } from '@/ui/words';

defineProps<{ rows: PlateRow[] }>();

const units = { v: 'V', a: 'A', kw: 'kW' };
const stateWords = { within: 'within', close: 'close', over: 'over', not_measured: 'not measured' };
const decimals = (row: PlateRow) => (row.quantity === 'kw' ? 1 : 0);

function margin(row: PlateRow): string {
  return row.margin === null
    ? '–'
    : `${row.margin < 0 ? '−' : ''}${Math.abs(row.margin).toFixed(decimals(row))} ${units[row.quantity]}`;
}

function more(row: PlateRow): string {
  const boost =
    row.allowed_minutes === null
      ? null
      : `${number(row.minutes_over_continuous ?? 0, 1)} of ${number(row.allowed_minutes)} min above ${number(row.continuous_limit)} A`;
  const heat = row.theta_max === null ? null : `heat figure ${number(row.theta_max, 2)}`;
  return [boost, heat, row.missing ?? row.provenance].filter((part) => part !== null).join('; ');
}
</script>

<template>
  <section aria-labelledby="plates-title">
    <h2 id="plates-title">Plate check</h2>
    <div class="scroll" role="region" aria-labelledby="plates-title" tabindex="0">
      <table>
        <thead>
          <tr>
            <th scope="col">piece</th>
            <th scope="col" class="n">peak</th>
            <th scope="col" class="n">limit</th>
            <th scope="col" class="n">margin</th>
            <th scope="col" class="wide"><span class="sr-only">share of the limit</span></th>
            <th scope="col" class="n">share</th>
            <th scope="col">state</th>
            <th scope="col">boost, heat, source</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.link + row.quantity" :class="row.state">
            <th scope="row">{{ row.name }}</th>
            <td class="n figures">
              {{ row.peak === null ? '–' : `${number(row.peak, decimals(row))} ${units[row.quantity]}` }}
            </td>
            <td class="n figures">{{ row.limit === null ? '?' : `${number(row.limit)} ${units[row.quantity]}` }}</td>
            <td class="n figures">{{ margin(row) }}</td>
            <td class="wide"><PlateBar v-if="row.utilisation !== null" :row="row" /></td>
            <td class="n figures">{{ percent(row.utilisation) }}</td>
            <td class="state">{{ stateWords[row.state] }}</td>
            <td class="more">
              {{ more(row) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
  margin-top: 6px;
  border-collapse: collapse;
}

thead th {
  border-bottom: 1.5px solid var(--ink);
  color: var(--ink-soft);
  font-size: 13px;
  font-weight: 500;
}

th,
td {
  padding: 6px 10px 6px 0;
  text-align: left;
}

tbody th {
  font-weight: 500;
}

tbody tr {
  border-bottom: 1px solid var(--line);
}

.n {
  text-align: right;
  white-space: nowrap;
}

.wide {
  width: 150px;
  min-width: 90px;
  padding-left: 8px;
}

.state {
  font-family: var(--face-wide);
  font-size: 14px;
  font-weight: 640;
  white-space: nowrap;
}

.more {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.close .state {
  color: var(--ochre-text);
}

.over .state {
  color: var(--brick-text);
}

.not_measured .state {
  color: var(--ink-soft);
  font-weight: 500;
}
</style>
