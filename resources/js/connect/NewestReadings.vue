<script setup lang="ts">
import type { Reading } from '@/api/client';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { clock, number } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import { points } from './points';

defineProps<{ readings: (Reading & { isWaiting?: boolean })[]; count: number; mayChange: boolean }>();
const emit = defineEmits<{ edit: [reading: Reading]; forget: [clientId: string] }>();
const { thermometer } = useUnits();
const terms = useTerms();

const heat = (r: Reading): string =>
  listed(
    'comma',
    points().flatMap((p) => {
      const c = r[`${p}_c`];
      return typeof c === 'number'
        ? [say('readings.heat', { point: terms.words('point', p), degrees: thermometer(c) })]
        : [];
    }),
  );
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
            <th scope="col">
              <span class="sr-only">{{ say('readings.change') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <template v-for="r in readings.slice(0, 20)" :key="r.client_id">
            <tr :class="{ waiting: r.isWaiting }">
              <td>{{ r.isWaiting ? say('readings.waiting', { time: clock(r.t_s) }) : clock(r.t_s) }}</td>
              <td>{{ number(r.soc_pct, 1) }}</td>
              <td>{{ number(r.volts, 1) }}</td>
              <td>{{ number(r.amps, 1) }}</td>
              <td>{{ number(r.kw, 1) }}</td>
              <td class="acts">
                <template v-if="mayChange">
                  <TextButton :aria-label="say('readings.edit_of', { time: clock(r.t_s) })" @click="emit('edit', r)">
                    {{ say('readings.edit') }}
                  </TextButton>
                  <TextButton
                    :aria-label="say('readings.forget_of', { time: clock(r.t_s) })"
                    @click="emit('forget', r.client_id)"
                  >
                    {{ say('readings.forget') }}
                  </TextButton>
                </template>
              </td>
            </tr>
            <tr v-if="heat(r)" class="heat">
              <td colspan="6">{{ heat(r) }}</td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.newest {
  margin-top: var(--space-7);
}

.scroll {
  overflow: auto;
  max-height: 260px;
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--size-label);
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
  padding: var(--space-2) var(--space-3);
  text-align: end;
}

td {
  border-bottom: 1px solid var(--line);
}

@media (width <= 400px) {
  th,
  td {
    padding-inline: var(--space-1);
  }

  .acts button {
    margin-inline-start: var(--space-3);
  }
}

.heat td {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.waiting td:first-child {
  color: var(--ochre-text);
}

.acts button {
  margin-inline-start: var(--space-4);
  font-size: var(--size-small);
}
</style>
