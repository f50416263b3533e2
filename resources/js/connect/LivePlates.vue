<script setup lang="ts">
import { computed } from 'vue';
import type { Judgement } from '@/api/client';
import PlateBar from '@/ui/PlateBar.vue';
import Said from '@/words/Said.vue';
import { useTerms } from '@/stores/terms';
import { number, orAbout, percent, quantity } from '@/ui/figures';
import { say } from '@/words/say';

const props = defineProps<{ judgement: Judgement }>();

const terms = useTerms();
/** Rows with a limit, those nearest to it first. */
const rows = computed(() =>
  props.judgement.plate_check
    .filter((r) => r.limit !== null)
    .toSorted((a, b) => (b.utilisation ?? -1) - (a.utilisation ?? -1)),
);
const allowed = computed(() => props.judgement.plate_check.filter((r) => r.minutes_words !== null));
</script>

<template>
  <section class="live" aria-labelledby="live-title">
    <h2 id="live-title">{{ say('live.title') }}</h2>
    <p class="verdict" :class="judgement.verdict" role="status">
      <strong>{{ judgement.verdict_words }}</strong>
      <span class="quiet finding">{{ judgement.findings[0] }}</span>
    </p>
    <p v-for="row in allowed" :key="row.link" class="boost">
      <Said code="live.boost" :figures="{ piece: row.name, amps: quantity(row.continuous_limit ?? 0, 'a') }">
        <template #minutes
          ><strong class="figures">{{ row.minutes_words }}</strong></template
        >
      </Said>
    </p>
    <ul>
      <li v-for="row in rows" :key="row.link + row.quantity" :class="row.state">
        <span class="name">{{ row.name }}</span>
        <span class="value figures">{{
          say('live.of', {
            peak: number(row.peak, row.quantity === 'kw' ? 1 : 0),
            limit: orAbout(quantity(row.limit ?? 0, row.quantity), row.limit_is_about),
          })
        }}</span>
        <PlateBar :row="row" />
        <span class="state">{{
          row.peak === null
            ? terms.words('plate_state', 'not_measured')
            : say('live.state', { share: percent(row.utilisation), state: terms.words('plate_state', row.state) })
        }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.verdict {
  margin: var(--space-3) 0 var(--space-4);
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
  margin-inline-start: var(--space-4);
}

.boost {
  margin-bottom: var(--space-3);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 138px;
  gap: 1px var(--space-6);
  padding: var(--space-3) 0;
  border-top: 1px solid var(--line);
}

.name {
  overflow-wrap: anywhere;
}

.value {
  text-align: end;
  font-weight: 620;
}

.state {
  color: var(--ink-soft);
  font-size: var(--size-small);
  text-align: end;
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
