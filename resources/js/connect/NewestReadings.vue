<script setup lang="ts">
import type { Reading } from '@/api/client';
import { clock, number } from '@/ui/figures';
import { say } from '@/words/say';

defineProps<{ readings: Reading[]; count: number }>();
</script>

<template>
  <section v-if="count > 0" class="newest" aria-labelledby="newest-title">
    <h2 id="newest-title">{{ say('readings.title', { n: count }) }}</h2>
    <div class="scroll" tabindex="0" role="region" :aria-label="say('readings.newest')">
      <table class="figures">
        <thead>
          <tr>
            <th scope="col">{{ say('readings.time') }}</th>
            <th scope="col">{{ say('unit.percent') }}</th>
            <th scope="col">{{ say('unit.volts') }}</th>
            <th scope="col">{{ say('unit.amps') }}</th>
            <th scope="col">{{ say('unit.kw') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in readings.slice(0, 20)" :key="r.client_id">
            <td>{{ clock(r.t_s) }}</td>
            <td>{{ number(r.soc_pct, 1) }}</td>
            <td>{{ number(r.volts, 1) }}</td>
            <td>{{ number(r.amps, 1) }}</td>
            <td>{{ number(r.kw, 1) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.newest {
  margin-top: 18px;
}

.scroll {
  overflow: auto;
  max-height: 230px;
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
}

th {
  position: sticky;
  top: 0;
  border-bottom: 1.5px solid var(--ink);
  background: var(--paper);
  font-weight: 600;
}

th,
td {
  padding: 4px 6px;
  text-align: right;
}

td {
  border-bottom: 1px solid var(--line);
}
</style>
