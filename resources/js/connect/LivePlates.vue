<script setup lang="ts">
import { computed } from 'vue';
import type { Judgement } from '@/api/client';
import PlateBar from '@/ui/PlateBar.vue';
import { number, percent } from '@/ui/words';

const props = defineProps<{ judgement: Judgement }>();

const units = { v: 'V', a: 'A', kw: 'kW' };
const stateWords = { within: 'within', close: 'close to it', over: 'over', not_measured: 'not measured' };
/** Rows with a limit, those nearest to it first. */
const rows = computed(() =>
  props.judgement.plate_check
    .filter((r) => r.limit !== null)
    .toSorted((a, b) => (b.utilisation ?? -1) - (a.utilisation ?? -1)),
);
const allowed = computed(() => props.judgement.plate_check.filter((r) => r.allowed_minutes !== null));
</script>

<template>
  <section class="live" aria-labelledby="live-title">
    <h2 id="live-title">Peaks against plates</h2>
    <p class="verdict" :class="judgement.verdict" role="status">
      <strong>{{ judgement.verdict_words }}</strong>
      <span class="quiet finding">{{ judgement.findings[0] }}</span>
    </p>
    <p v-for="row in allowed" :key="row.link" class="boost">
      {{ row.name }}: <strong class="figures">{{ number(row.minutes_over_continuous ?? 0, 1) }}</strong> of
      <span class="figures">{{ number(row.allowed_minutes) }}</span> boost minutes used
    </p>
    <ul>
      <li v-for="row in rows" :key="row.link + row.quantity" :class="row.state">
        <span class="name">{{ row.name }}</span>
        <span class="value figures">
          <template v-if="row.peak !== null">{{ number(row.peak, row.quantity === 'kw' ? 1 : 0) }}</template>
          <template v-else>–</template>
          / {{ number(row.limit) }} {{ units[row.quantity] }}
        </span>
        <PlateBar :row="row" />
        <span class="state">{{
          row.peak === null ? stateWords.not_measured : `${percent(row.utilisation)}, ${stateWords[row.state]}`
        }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.verdict {
  margin: 6px 0 8px;
}

.failed strong {
  color: var(--brick-text);
}

.caution strong {
  color: var(--ochre-text);
}

.passed strong {
  color: var(--pine-text);
}

.finding {
  margin-left: 8px;
}

.boost {
  margin-bottom: 6px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 138px;
  gap: 1px 12px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.value {
  text-align: right;
  font-weight: 620;
}

.state {
  color: var(--ink-soft);
  font-size: 13px;
  text-align: right;
}

.over .state {
  color: var(--brick-text);
  font-weight: 650;
}

.close .state {
  color: var(--ochre-text);
}

li :deep(.bar) {
  align-self: center;
}
</style>
